export default function Drafts() { return null }

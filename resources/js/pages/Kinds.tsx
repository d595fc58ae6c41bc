export default function Kinds() { return null }

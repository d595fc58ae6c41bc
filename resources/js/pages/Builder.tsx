export default function Builder() { return null }

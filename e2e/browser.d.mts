export const launch: { executablePath: string | undefined; args: string[] }

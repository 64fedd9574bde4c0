/** KELP427 as it is read aloud: "KELP 427". */
export const spacedCode = (code: string): string => code.replace(/(\d+)$/, ' $1')

/** A database id in an address: whole, positive, and no larger than a number holds exactly. */
export const match = (text: string): boolean => /^[1-9]\d{0,14}$/.test(text);

import { customAlphabet } from "nanoid";

/** Letters and digits alone: what begins with a sign is taken for a formula by a spreadsheet. */
const ALPHABET = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz";

/** A new id, as good as never given twice. @param size letters, 10 where it is left out */
export const newId = customAlphabet(ALPHABET, 10);

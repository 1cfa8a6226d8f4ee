import { refuse } from "../check/index.ts";

/** A file's bytes as text, and what they were taken for. */
export interface Decoded {
	readonly text: string;
	readonly encoding: "utf-8" | "utf-16le" | "utf-16be" | "windows-1252";
}

/**
 * Text of a file from anywhere: UTF-16 by its mark, UTF-8 where every byte holds as such,
 * and otherwise the Western encoding that office programs still write.
 *
 * @throws {Refusal} when it is no text at all
 */
export function decodeText(bytes: Uint8Array): Decoded {
	const encoding = encodingOf(bytes);
	const text = new TextDecoder(encoding).decode(bytes);
	if (text.includes("\u0000")) throw refuse("file", "is no text; a JSON or CSV file is allowed");
	return { text, encoding };
}

function encodingOf(bytes: Uint8Array): Decoded["encoding"] {
	if (bytes[0] === 0xff && bytes[1] === 0xfe) return "utf-16le";
	if (bytes[0] === 0xfe && bytes[1] === 0xff) return "utf-16be";
	try {
		new TextDecoder("utf-8", { fatal: true }).decode(bytes);
		return "utf-8";
	} catch {
		return "windows-1252";
	}
}

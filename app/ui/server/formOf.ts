import { data } from "react-router";

/** The most fields a form has: a long recipe with all its lines and steps has about half of them. */
export const MOST_FIELDS = 6000;

/**
 * The form that was sent. Its fields are counted before it is read, since reading takes longer the
 * more there are.
 *
 * @throws {Response} 400 with a sentence, when it is no form, is broken, or has too many fields
 */
export async function formOf(request: Request): Promise<FormData> {
	const type = request.headers.get("content-type") ?? "";
	const bytes = await bodyOf(request);
	const mark = markIn(type);
	if (mark === null) throw notRead("What was sent is no form.");
	if (countOf(bytes, mark, MOST_FIELDS) > MOST_FIELDS) {
		throw notRead(`The form has more than ${MOST_FIELDS.toLocaleString("en-GB")} fields.`);
	}
	try {
		return await new Response(bytes, { headers: { "content-type": type } }).formData();
	} catch {
		throw notRead("The form that was sent is broken off or cannot be read.");
	}
}

async function bodyOf(request: Request): Promise<Uint8Array<ArrayBuffer>> {
	try {
		return new Uint8Array(await request.arrayBuffer());
	} catch {
		throw notRead("What was sent broke off on the way.");
	}
}

/** What stands between two fields of a form of this type; null when it is no form. */
function markIn(type: string): Uint8Array | null {
	if (/^application\/x-www-form-urlencoded\b/i.test(type)) return bytesOf("&");
	const boundary = /^multipart\/form-data\b.*\bboundary=(?:"([^"]{1,70})"|([^\s;]{1,70}))/i.exec(type);
	const mark = boundary?.[1] ?? boundary?.[2];
	return mark === undefined ? null : bytesOf(`--${mark}`);
}

function bytesOf(text: string): Uint8Array {
	return new TextEncoder().encode(text);
}

/** How often a mark stands in some bytes, counted no further than one beyond the most. */
function countOf(bytes: Uint8Array, mark: Uint8Array, most: number): number {
	const body = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	let count = 0;
	for (let at = body.indexOf(mark); at !== -1 && count <= most; at = body.indexOf(mark, at + mark.length))
		count += 1;
	return count;
}

function notRead(said: string) {
	return data({ said }, { status: 400 });
}

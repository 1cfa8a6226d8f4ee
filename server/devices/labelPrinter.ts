import { createServer, type Server } from "node:http";

/** A label printer that is not there: it takes documents, counts them, and can be out of labels. */
export class SimulatedLabelPrinter {
	readonly taken: { readonly name: string; readonly bytes: number; readonly at: number }[] = [];
	isEmpty = false;

	/** @returns why it is not taken, or null */
	take(name: string, document: Buffer): string | null {
		if (this.isEmpty) return "it is out of labels";
		if (!document.subarray(0, 5).equals(Buffer.from("%PDF-"))) return "what was sent is no document";
		this.taken.push({ name, bytes: document.length, at: Date.now() });
		return null;
	}
}

/** The largest document it takes, bytes. */
const MOST = 8 * 1024 * 1024;

export function printerServer(printer: SimulatedLabelPrinter): Server {
	return createServer((request, response) => {
		const say = (status: number, body: unknown) => {
			response.writeHead(status, { "content-type": "application/json" });
			response.end(JSON.stringify(body));
		};
		const { pathname, searchParams } = new URL(request.url ?? "/", "http://printer");
		if (pathname === "/labels" && request.method === "POST") {
			printer.isEmpty = searchParams.get("left") === "none";
			say(200, { isEmpty: printer.isEmpty });
			return;
		}
		if (pathname !== "/print" || request.method !== "POST") {
			say(200, { taken: printer.taken, isEmpty: printer.isEmpty });
			return;
		}
		const parts: Buffer[] = [];
		let bytes = 0;
		request.on("data", (part: Buffer) => {
			bytes += part.length;
			if (bytes <= MOST) parts.push(part);
		});
		request.on("end", () => {
			const why =
				bytes > MOST
					? "the document is too long"
					: printer.take(searchParams.get("name") ?? "", Buffer.concat(parts));
			if (why) say(409, { said: why });
			else say(200, { taken: printer.taken.length });
		});
	});
}

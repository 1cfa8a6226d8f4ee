/** Whether an address is that of a file, and not of a server. */
export function isFile(url: string): boolean {
	return url.startsWith("file:");
}

/** Path of the file at an address; the address of a server as it is. */
export function pathOf(url: string): string {
	return url.replace(/^file:/, "");
}

/** This moment as a part of a file's name that sorts by time. */
export function stamp(): string {
	return new Date().toISOString().replaceAll(/[:.]/g, "-");
}

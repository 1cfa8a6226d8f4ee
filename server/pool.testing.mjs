/** A thread's file for tests of the pool alone. */
export default async function work({ name, given, who, progress }) {
	switch (name) {
		case "ready":
			return { value: null };
		case "echo":
			return { value: { given, who } };
		case "wait":
			await new Promise((done) => setTimeout(done, given));
			return { value: "waited" };
		case "spin":
			for (const until = Date.now() + given; Date.now() < until; );
			return { value: "spun" };
		case "count":
			progress[0] = 3;
			progress[1] = 7;
			return { value: null };
		case "missing":
			return { thrown: { data: { missing: "sitting" }, status: 404 } };
		case "hoard": {
			const held = [];
			for (;;) held.push(new Array(100_000).fill(held.length));
		}
		default:
			throw new TypeError(`no ${name}`);
	}
}

import { data } from "react-router";

/** Every address that is none of ours. */
export function loader(): never {
	throw data({}, { status: 404 });
}

export function action(): never {
	throw data({}, { status: 404 });
}

export default function NotFound() {
	return null;
}

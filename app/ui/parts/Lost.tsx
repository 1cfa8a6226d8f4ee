import { ActLink, Page, Sheet, Title } from "./parts.tsx";
import { Tape } from "./Tape.tsx";

/** Nothing here, or something broke: what is so, and the way on. */
interface LostProps {
	readonly status: number;
	readonly what?: string;
	/** Why, where it can be said. */
	readonly said?: string;
}

export function Lost({ status, what, said }: LostProps) {
	const missing = status === 404;
	return (
		<Page>
			<Sheet
				maxWidth="640px"
				marginInline="auto"
				marginTop="6vh"
				display="grid"
				gap="14px"
				justifyItems="start"
			>
				<Tape>{missing ? "Not on the shelf" : "Stopped"}</Tape>
				<Title>{said ?? headline(status, what)}</Title>
				<p>{explanation(status)}</p>
				<ActLink to="/" kind="next">
					Go to Today
				</ActLink>
			</Sheet>
		</Page>
	);
}

function explanation(status: number): string {
	if (status === 404) return "The link may be old, or it was taken away since. Nothing else has changed.";
	if (status === 0)
		return "Look at the connection of this device, then load the page again. What was saved is still there.";
	if (status === 400)
		return "Nothing was changed. Go back and try once more; what was saved before is still there.";
	if (status === 422) return "It is kept as it is, and nothing is planned with it until it is mended.";
	if (status === 503)
		return "What was saved before is still there. Go back: what you typed should still stand there.";
	return "The page could not be made. What was saved before is still there; go back and try once more.";
}

function headline(status: number, what: string | undefined): string {
	if (status === 404) return what ? `There is no such ${what}.` : "There is no page here.";
	if (status === 0) return "The house's server does not answer.";
	if (status === 400) return "That could not be read.";
	if (status === 405) return "That cannot be done here.";
	return "Something broke on our side.";
}

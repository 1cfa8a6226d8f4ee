import { chakra } from "@chakra-ui/react/styled-system";
import { Form, redirect } from "react-router";
import { checked } from "#core/check";
import { keepPreferences, Preferences } from "#server";
import { Choice, Field } from "../ui/forms/Field.tsx";
import { typedIn } from "../ui/forms/form.ts";
import { Act, Key, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { doneOrSaid } from "../ui/server/said.server.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/preferences.route";

export const meta: Route.MetaFunction = () => [{ title: "At this desk · Wide Table" }];

export async function loader({ context, request }: Route.LoaderArgs) {
	const { preferences, house } = await visitOf(context);
	return { preferences, houseUnits: house.units, back: ours(new URL(request.url).searchParams.get("back")) };
}

/** Changes only what was sent, so that one switch leaves the others. */
export async function action({ context, request }: Route.ActionArgs) {
	const { preferences, reading } = await visitOf(context);
	const form = await formOf(request);
	const { back = "/", shortKeys, who, ...sent } = typedIn(form);
	return doneOrSaid({ who: who ?? "" }, reading, async () => {
		const next = checked(Preferences, {
			...preferences,
			...sent,
			...(shortKeys === undefined ? {} : { shortKeys: shortKeys === "on" }),
			...(who === undefined ? {} : named(who)),
		});
		return redirect(ours(back), { headers: { "Set-Cookie": await keepPreferences(next, request) } });
	});
}

function named(who: string): { who?: string } {
	const name = who.trim();
	return { who: name === "" ? undefined : name } as { who?: string };
}

/** Only a path of this application is gone back to. */
function ours(path: string | null): string {
	return path !== null && isOurs(path) ? path : "/";
}

function isOurs(path: string): boolean {
	// Signs that a browser drops or turns round before it reads the path make it another one.
	return /^\/(?![/\\])[!-[\]-~]*$/.test(path);
}

export default function AtThisDesk({ loaderData, actionData }: Route.ComponentProps) {
	const { preferences, houseUnits, back } = loaderData;
	const wrong = actionData?.wrong ?? {};
	return (
		<Page>
			<Title>At this desk</Title>
			<Sheet marginTop="16px" maxWidth="560px">
				<Form method="post">
					<input type="hidden" name="back" value={back} />
					<chakra.div display="grid" gap="14px">
						<Field
							label="Your name, written beside what you change"
							name="who"
							maxLength={40}
							defaultValue={actionData?.typed.who ?? preferences.who}
							wrong={wrong.who}
						/>
						<Choice
							label="Units"
							name="units"
							defaultValue={preferences.units ?? houseUnits}
							wrong={wrong.units}
						>
							<option value="metric">kg, l, °C</option>
							<option value="us">lb, qt, °F</option>
						</Choice>
						<Choice label="Clock" name="clockHours" defaultValue={preferences.clockHours}>
							<option value="24">19:30</option>
							<option value="12">7:30 pm</option>
						</Choice>
						<Choice label="Light" name="light" defaultValue={preferences.light}>
							<option value="bench">Daylight</option>
							<option value="evening">Evening service</option>
						</Choice>
						<Choice label="Paper" name="paper" defaultValue={preferences.paper}>
							<option>A4</option>
							<option>Letter</option>
						</Choice>
						<Choice label="Short keys" name="shortKeys" defaultValue={preferences.shortKeys ? "on" : "off"}>
							<option value="on">on</option>
							<option value="off">off</option>
						</Choice>
					</chakra.div>
					<chakra.div marginTop="16px">
						<Act kind="next" aria-keyshortcuts="a">
							Keep it <Key aria-hidden>a</Key>
						</Act>
					</chakra.div>
				</Form>
			</Sheet>
		</Page>
	);
}

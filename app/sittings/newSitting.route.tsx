import { chakra } from "@chakra-ui/react/styled-system";
import { data, Form, redirect } from "react-router";
import { onDay, wallClock } from "#core/time";
import { addSitting, readHouseCodes } from "#db";
import { NotSentNote } from "../ui/forms/NotSentNote.tsx";
import { isNotSent, sentOrKept } from "../ui/forms/offline.ts";
import { Act, ActLink, Key, Page, Sheet, Title } from "../ui/parts/parts.tsx";
import { formOf } from "../ui/server/formOf.ts";
import { visitOf } from "../ui/server/visit.ts";
import type { Route } from "./+types/newSitting.route";
import { DetailFields } from "./DetailFields.tsx";
import { readDetails } from "./sittingForm.ts";

export const meta: Route.MetaFunction = () => [{ title: "Plan a sitting · Wide Table" }];

export async function loader({ context }: Route.LoaderArgs) {
	const { reading, house } = await visitOf(context);
	const inAWeek = onDay(reading.now, house.timeZone, 12 * 60, 7);
	return { date: wallClock(inAWeek, house.timeZone).date };
}

export async function action({ context, request }: Route.ActionArgs) {
	const { store, house, who } = await visitOf(context);
	const codes = [...(await readHouseCodes(store.db)).keys()];
	const read = readDetails(await formOf(request), house.timeZone, codes);
	if ("wrong" in read) return data(read, { status: 400 });
	return redirect(`/sittings/${await addSitting(store, who, read.value)}`);
}

/** @see sentOrKept */
export function clientAction({ serverAction }: Route.ClientActionArgs) {
	return sentOrKept(serverAction);
}

export { revalidateWhenSent as shouldRevalidate } from "../ui/forms/offline.ts";

export default function NewSitting({ loaderData, actionData: result }: Route.ComponentProps) {
	const actionData = isNotSent(result) ? undefined : result;
	const empty = { date: loaderData.date, time: "19:00", hands: "2" };
	return (
		<Page>
			<Title>Plan a sitting</Title>
			{isNotSent(result) ? <NotSentNote {...result} /> : null}
			<Sheet marginTop="16px" maxWidth="640px">
				<Form method="post">
					<DetailFields typed={actionData?.typed ?? empty} wrong={actionData?.wrong ?? {}} isNew />
					<chakra.div display="flex" gap="12px" marginTop="16px">
						<Act kind="next" aria-keyshortcuts="a">
							Plan it <Key aria-hidden>a</Key>
						</Act>
						<ActLink to="/sittings" kind="quiet">
							Leave it
						</ActLink>
					</chakra.div>
				</Form>
			</Sheet>
		</Page>
	);
}

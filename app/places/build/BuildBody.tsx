import { DrawnColumns } from "../DrawnColumns.tsx";
import type { BodyProps } from "../PlaceBody.ts";
import { AccountBars } from "./AccountBars.tsx";
import type { AccountView } from "./account.view.ts";
import { SaltLedger } from "./SaltLedger.tsx";
import { StockBlend } from "./StockBlend.tsx";

/** The build place: the account of the liquid, and two stocks mixed. */
export function BuildBody({ view, head, facts, warnings, arithmetic }: BodyProps<AccountView>) {
	return (
		<DrawnColumns
			answer={
				<>
					{head}
					{facts}
					{warnings}
					<StockBlend />
				</>
			}
			drawing={
				<>
					<AccountBars view={view} />
					<SaltLedger view={view} />
					{arithmetic}
				</>
			}
		/>
	);
}

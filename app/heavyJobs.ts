import { giveOut } from "./book/giveOut.ts";
import { importPage, takeIn } from "./book/importPage.ts";
import { labPage, trainingRound } from "./lab/labPage.ts";
import { longTablePage } from "./plan/longTablePage.ts";
import { morePansPage } from "./plan/morePansPage.ts";
import { cuttingPage, labelsPage, sheetPage } from "./plan/paperPages.ts";
import { orderPage, orderXlsx } from "./sittings/orderPage.ts";
import { sittingPage } from "./sittings/sittingPage.ts";
import { todayPage } from "./today/todayPage.ts";

/** Whatever plans a sitting, reckons pans or reads a file: it is done by a thread beside the one that answers. */
export const JOBS = {
	today: todayPage,
	sitting: sittingPage,
	order: orderPage,
	orderXlsx,
	longTable: longTablePage,
	morePans: morePansPage,
	sheet: sheetPage,
	labels: labelsPage,
	cutting: cuttingPage,
	lab: labPage,
	trainingRound,
	importPreview: importPage,
	takeIn,
	giveOut,
} as const;

export type Jobs = typeof JOBS;

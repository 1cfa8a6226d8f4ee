import type { Lane } from "#server";
import { giveOut } from "./book/giveOut.ts";
import { importPage, takeIn } from "./book/importPage.ts";
import { dayFile, dayPage, issueTheDay } from "./day/dayPage.ts";
import { dayPaperPage, dayPapersPage } from "./day/paperPages.ts";
import { waysOutPage } from "./day/waysOutPage.ts";
import { labPage, trainingRound } from "./lab/labPage.ts";
import { orderFile, orderPage } from "./papers/orderPage.ts";
import { cuttingPage, labelsPage, sheetPage } from "./papers/paperPages.ts";
import { longTablePage, whyNotTaken } from "./plan/longTablePage.ts";
import { morePansPage } from "./plan/morePansPage.ts";
import { lotLabelsPdf } from "./records/lotLabels.ts";
import { lotWayPage } from "./records/lotWay.view.ts";
import { missingPage } from "./records/missing.ts";
import { newLotPage } from "./records/newLotPage.ts";
import { recordSheet, recordSheetCsv } from "./records/sheetPage.ts";
import { recordSheetPdf } from "./records/sheetPdf.ts";
import { sittingPage } from "./sittings/sittingPage.ts";
import { todayPage } from "./today/todayPage.ts";
import type { HouseVisit } from "./ui/server/visit.ts";

/** Whatever plans a sitting, reckons pans or reads a file: it is done by a thread beside the one that answers. */
export const JOBS = {
	/** What a thread does first: one that plans reckons what comes, as whoever asks first will ask. */
	ready: async (visit: HouseVisit, { lane }: { readonly lane: Lane }) => {
		if (lane === "plans") await todayPage(visit);
	},
	today: todayPage,
	day: dayPage,
	dayFile,
	waysOut: waysOutPage,
	issueTheDay,
	dayPaper: dayPaperPage,
	dayPapers: dayPapersPage,
	sitting: sittingPage,
	order: orderPage,
	orderFile,
	longTable: longTablePage,
	whyNotTaken,
	morePans: morePansPage,
	sheet: sheetPage,
	labels: labelsPage,
	newLot: newLotPage,
	lotLabelsPdf,
	lotWay: lotWayPage,
	recordSheet,
	recordSheetCsv,
	recordSheetPdf,
	missing: missingPage,
	cutting: cuttingPage,
	lab: labPage,
	trainingRound,
	importPreview: importPage,
	takeIn,
	giveOut,
} as const;

export type Jobs = typeof JOBS;

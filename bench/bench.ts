import { benchBook } from "./book.ts";
import { benchBraise } from "./braise.ts";
import { benchDay, benchProof, benchTried } from "./day.ts";
import { benchFrames } from "./frames.ts";
import { benchPages } from "./pages.ts";
import { benchPans } from "./pans.ts";
import { benchPlan } from "./plan.ts";
import { benchReadings, benchYear } from "./readings.ts";
import { benchWrites } from "./writes.ts";

/** What is wanted is printed beside what was measured; nothing here can fail a test. */
benchPlan();
benchPans();
benchDay();
benchTried();
benchProof();
await benchBraise();
await benchBook();
await benchWrites();
await benchReadings();
await benchYear();
await benchPages();
await benchFrames();

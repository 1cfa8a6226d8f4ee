import { benchBook } from "./book.ts";
import { benchBraise } from "./braise.ts";
import { benchFrames } from "./frames.ts";
import { benchPages } from "./pages.ts";
import { benchPans } from "./pans.ts";
import { benchPlan } from "./plan.ts";
import { benchWrites } from "./writes.ts";

/** What is wanted is printed beside what was measured; nothing here can fail a test. */
benchPlan();
benchPans();
await benchBraise();
await benchBook();
await benchWrites();
await benchPages();
await benchFrames();

import { benchBook } from "./book.ts";
import { benchPages } from "./pages.ts";
import { benchPlan } from "./plan.ts";

/** What is wanted is printed beside what was measured; nothing here can fail a test. */
benchPlan();
await benchBook();
await benchPages();

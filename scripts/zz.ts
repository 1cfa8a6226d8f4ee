import { benchPlan } from "../bench/plan.ts";

benchPlan();

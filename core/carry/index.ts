export { Carried, carriedMinutes, carriedTo, measuredLoss, USUAL_UA_W_PER_K } from "./carry.ts";

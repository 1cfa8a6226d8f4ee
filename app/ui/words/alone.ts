/** What stands on no sitting is planned as if the kitchen had nothing else to do, and says so. */
export const ALONE = "in a kitchen with nothing else";

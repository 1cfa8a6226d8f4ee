import type { DocOf, RecordEntry } from "./entries.ts";
import { ofKind } from "./entries.ts";
import type { LotNow, PanNow } from "./lots.ts";
import type { Passport } from "./passport.ts";

/** What a label says of its pan: no more than its passport. */
export type LabelSaid = DocOf<"labels">["labels"][number];

/** A pan whose label no longer says what its passport says, or that has none of its own since it was spread. */
export interface VoidLabel {
	readonly tag: string;
	/** Null where the label is that of the pan that it was spread out of. */
	readonly said: LabelSaid | null;
	readonly says: LabelSaid;
}

/** What the labels of a lot say now, pan by pan. @param allergens that it declares, in words */
export function labelsNow({ pans }: LotNow, passports: readonly Passport[], allergens: string): LabelSaid[] {
	return pans.flatMap((pan) => {
		const passport = passports.find(({ tag }) => tag === pan.tag);
		return passport ? [labelOf(pan, passport, allergens)] : [];
	});
}

function labelOf(pan: PanNow, { release, isCooling }: Passport, allergens: string): LabelSaid {
	return { tag: pan.tag, release, cooling: isCooling, useBy: pan.useBy ?? "", allergens };
}

/**
 * Labels that are void: others have to be printed and stuck over them. A pan of which no label was ever
 * printed has none that could be void.
 *
 * @param entries   all that was written of the lot, in order
 * @param allergens that it declares now, in words
 */
export function voidLabels(
	lot: LotNow,
	passports: readonly Passport[],
	entries: readonly RecordEntry[],
	allergens: string,
): VoidLabel[] {
	const printed = ofKind(entries, "labels").flatMap(({ doc }) => doc.labels);
	return labelsNow(lot, passports, allergens).flatMap((says): VoidLabel[] => {
		const own = printed.findLast(({ tag }) => tag === says.tag);
		if (own) return isSame(own, says) ? [] : [{ tag: says.tag, said: own, says }];
		const tags = lot.pans.find(({ tag }) => tag === says.tag)?.tags ?? [];
		return printed.some(({ tag }) => tags.includes(tag)) ? [{ tag: says.tag, said: null, says }] : [];
	});
}

function isSame(one: LabelSaid, other: LabelSaid): boolean {
	return (
		one.release === other.release &&
		one.cooling === other.cooling &&
		one.useBy === other.useBy &&
		one.allergens === other.allergens
	);
}

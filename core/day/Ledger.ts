import type { DayEquipment, Use } from "./Day.ts";

/** What is taken of each thing, and when. */
export class Ledger {
	readonly #things: ReadonlyMap<string, DayEquipment>;
	readonly #uses = new Map<string, Use[]>();

	readonly #held: ReadonlySet<Use>;

	/** @param held what others have in hand and keep: it counts for what is free, and for nobody's work here */
	constructor(equipment: readonly DayEquipment[], held: readonly Use[] = []) {
		this.#things = new Map(equipment.map((one) => [one.id, one]));
		this.#held = new Set(held);
		for (const use of held) this.take(use);
	}

	/** Things of one kind; none where the kitchen does not count them. */
	of(kind: DayEquipment["kind"]): DayEquipment[] {
		return [...this.#things.values()].filter((thing) => thing.kind === kind);
	}

	has(id: string): boolean {
		return this.#things.has(id);
	}

	/** Units over capacity at the worst moment of the use; 0 if it fits. */
	short({ equipment, amount, from, to, set_C }: Use): number {
		const thing = this.#things.get(equipment);
		if (!thing || to <= from) return 0;
		if (!thing.windows.some(([opens, closes]) => opens <= from && to <= closes)) return amount;
		const meet = this.#meeting(equipment, from, to);
		if (set_C !== undefined && meet.some((use) => use.set_C !== set_C)) return amount;
		return Math.max(0, amount + mostOf(meet, from) - thing.capacity);
	}

	take(use: Use): void {
		this.#uses.set(use.equipment, [...this.usesOf(use.equipment), use]);
	}

	/** Lets go of what was taken. */
	giveBack(uses: readonly Use[]): void {
		for (const { equipment } of uses) {
			this.#uses.set(
				equipment,
				this.usesOf(equipment).filter((use) => !uses.includes(use)),
			);
		}
	}

	/** Of a thing, what is taken here and not by others. */
	ownUsesOf(equipment: string): readonly Use[] {
		return this.usesOf(equipment).filter((use) => !this.#held.has(use));
	}

	usesOf(equipment: string): readonly Use[] {
		return this.#uses.get(equipment) ?? [];
	}

	#meeting(equipment: string, from: number, to: number): Use[] {
		return this.usesOf(equipment).filter((use) => use.from < to && use.to > from);
	}
}

/** Most that some uses take at one moment at or after an instant. */
function mostOf(uses: readonly Use[], from: number): number {
	const moments = uses.map((use) => Math.max(use.from, from));
	const takenAt = (moment: number) =>
		uses.reduce((sum, use) => (use.from <= moment && use.to > moment ? sum + use.amount : sum), 0);
	return Math.max(0, ...moments.map(takenAt));
}

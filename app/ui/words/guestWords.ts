import type { Plan } from "#core/dish";
import { DIETS, type DietCount, dietsAnswered } from "#core/recipe";

/**
 * Guests counted by diet as the paper of one dish says them, each with whether it feeds them:
 * "12 vegetarian: not this dish, goat shoulder is in it".
 */
export function guestLines(counts: readonly DietCount[], name: string, plan: Plan | undefined): string[] {
	if (!plan) return counts.map(({ diet, covers }) => `${covers} ${DIETS[diet].words}`);
	const dish = {
		name,
		portions: plan.chain.portions,
		ingredients: plan.lines.map(({ ingredient }) => ingredient),
	};
	return dietsAnswered(counts, [dish]).map(({ diet, covers, not }) => {
		const guests = `${covers} ${DIETS[diet].words}`;
		const [because] = not;
		return because
			? `${guests}: not this dish, because of ${because.because.join(", ")}`
			: `${guests}: this dish suits as its ingredients are described`;
	});
}

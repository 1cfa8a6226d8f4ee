import { type Static, Type } from "@sinclair/typebox";
import { oneOf } from "../check/index.ts";

/** Where practitioners disagree: the questions, the answers, and what each answer means for the dish. */
export const SCHOOLS = {
	flour: {
		words: "Flour and body",
		answers: {
			reduction: { words: "reduction only", means: "strong, glossy sauce; salt rises as it reduces" },
			dredge: { words: "dredged before searing", means: "body from the start, darker crust; brings gluten" },
			onVegetables: { words: "on the vegetables", means: "body from the start, toasted; brings gluten" },
			roux: { words: "roux at the end", means: "body to the gram, milder salt; brings gluten and milk" },
			starch: {
				words: "starch slurry",
				means: "clear, no gluten; sets a little at first, and thins if it is kept boiling",
			},
			kneadedButter: {
				words: "kneaded butter",
				means: "soft, rich, at the last minute; brings gluten and milk",
			},
			puree: { words: "puréed vegetables", means: "body and sweetness without flour; less clear" },
		},
	},
	salt: {
		words: "Salt",
		answers: {
			early: {
				words: "early, in full",
				means: "seasoned through; the sauce has to be watched as it reduces",
			},
			moderate: { words: "moderate, corrected at the end", means: "room for reduction; taste twice" },
			afterMarinade: { words: "none in the marinade", means: "the meat keeps its juice until it is seared" },
		},
	},
	marinade: {
		words: "Marinade",
		answers: {
			none: { words: "none", means: "starts on the day; nothing to drain" },
			hours: { words: "some hours", means: "surface only; starts the same day" },
			overnight: {
				words: "overnight",
				means: "starts the day before; fridge space; its liquid is the liquid",
			},
			twoDays: { words: "up to two days", means: "starts two days before; too long turns it soft and mealy" },
		},
	},
	colour: {
		words: "Colour",
		answers: {
			pan: { words: "pan, in loads", means: "deep crust and fond; burner minutes and hands" },
			oven: { words: "hot oven, on trays", means: "few hands, even; takes oven slots for half an hour" },
			both: { words: "both", means: "best faces in the pan, the rest in the oven" },
		},
	},
	vegetables: {
		words: "Vegetables of the pan",
		answers: {
			strained: {
				words: "strained out",
				means: "cut small, left to drain; clear sauce, less of it: they carry a fifth of their weight away",
			},
			pressed: {
				words: "strained and pressed",
				means: "cut small; half of what they would carry away comes back, a little less clear",
			},
			kept: {
				words: "kept in the sauce",
				means: "cut a little larger than the meat, so both finish together",
			},
			pureed: { words: "puréed back", means: "more sauce, with body" },
			apart: { words: "cooked apart", means: "keep their bite; garnish minutes at the pass" },
		},
	},
	service: {
		words: "Service",
		answers: {
			sameDay: { words: "the same day", means: "in by noon; no chilling" },
			madeAhead: {
				words: "made ahead",
				means: "better the next day, fat lifts off; chill and reheat within the house code",
			},
		},
	},
} as const;

export type SchoolQuestion = keyof typeof SCHOOLS;
export const SCHOOL_QUESTIONS = Object.keys(SCHOOLS) as SchoolQuestion[];
export type SchoolAnswer<Q extends SchoolQuestion = SchoolQuestion> = keyof (typeof SCHOOLS)[Q]["answers"] &
	string;

const answersTo = <Q extends SchoolQuestion>(question: Q) =>
	Type.Optional(oneOf(Object.keys(SCHOOLS[question].answers) as SchoolAnswer<Q>[]));

export const Schools = Type.Object(
	{
		flour: answersTo("flour"),
		salt: answersTo("salt"),
		marinade: answersTo("marinade"),
		colour: answersTo("colour"),
		vegetables: answersTo("vegetables"),
		service: answersTo("service"),
	},
	{ additionalProperties: false },
);
export type Schools = Static<typeof Schools>;

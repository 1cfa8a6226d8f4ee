export {
	asLpText,
	type IntegerProgram,
	type IntegerRow,
	type IntegerSolver,
	type IntegerVariable,
	type Terms,
} from "./IntegerProgram.ts";

export {
	type BatchWork,
	BOX_S,
	handsOnOf,
	PAN_UP_MIN,
	PLATE_S,
	taskMinutes,
	type WorkMinutes,
	workMinutes,
} from "./minutes.ts";
export { type Clockwork, lastFirst, latestStartOf, overBy, placeBackwards } from "./placeBackwards.ts";
export {
	AT_ANY_TIME,
	exactly,
	type MinutesIn,
	type Need,
	type PlacedTask,
	type Predecessor,
	type Task,
	type TaskMinutes,
	type TaskPart,
	type TaskPlace,
	type TaskWindow,
} from "./Task.ts";

export interface WarningSaid {
	/** What is so, with its figures. */
	readonly says: string;
	/** The usual remedy. */
	readonly remedy: string;
}

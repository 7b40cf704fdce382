/** How hard a thing is to find, by experience: where neither odds nor a run are known, or beside them. */
export const DIFFICULTY_LEVELS = ['easy', 'fair', 'hard', 'very hard', 'hardest'] as const;
export type DifficultyLevel = (typeof DIFFICULTY_LEVELS)[number];

export interface Difficulty {
	readonly level: DifficultyLevel;
	/** Whose experience it is. */
	readonly source?: string;
}

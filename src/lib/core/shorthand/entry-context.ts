import type { Release } from '../checklist/release.ts';
import type { Condition } from '../copies/condition.ts';
import type { CardIndex } from './card-index.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Where a line is typed: what its words mean and what is there already. */
export interface EntryContext {
	readonly release: Release;
	readonly index: CardIndex;
	readonly vocabulary: Vocabulary;
	/** The numbering that is meant where several use the same numbers, and by "all". */
	readonly numberingKey: string | null;
	/** The finish that is logged where the line names none; null for the base one. */
	readonly parallelKey: string | null;
	/** The condition of what the line names none for. */
	readonly condition?: Condition;
	/** Version key → copies owned; a version that is absent has none. */
	readonly owned: ReadonlyMap<string, number>;
	/** Word, as it is compared → the words it stands for. */
	readonly synonyms?: ReadonlyMap<string, string>;
}

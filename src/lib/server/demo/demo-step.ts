import type { Collection } from '../database/open.ts';

/** Something the demo's collector did, and when (ISO 8601). */
export interface DemoStep {
	readonly when: string;
	readonly take: (then: Collection) => Promise<unknown>;
}

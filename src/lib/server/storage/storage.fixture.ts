import { beforeEach } from 'vitest';
import { withCollection } from '../collection.fixture.ts';
import { keepingOf, USUAL_CLASSES } from '../../core/storage/classes/keeping.ts';
import { resolveRelease } from '../../core/checklist/draft/resolve-release.ts';
import type { CardFormat } from '../../core/checklist/card-format.ts';
import { logLine } from '../copies/log.ts';
import { importRelease } from '../checklists/import-release.ts';
import { makeChange } from '../journal/change.ts';
import { homelessCopies } from '../places/homeless.ts';
import { standBehind } from '../places/stand-behind.ts';
import { readDividers } from './room/read-box.ts';
import { readBoxes } from './room/read-storage.ts';
import type { CopyId } from '../../core/row-id.ts';

/** Values that send no card to the valuables. */
export const NOTHING_VALUABLE = keepingOf({
	classes: USUAL_CLASSES,
	tiers: [],
	currency: 'EUR'
});

/** For tests: before each, an empty collection; `release` imports one, `log` puts cards in. */
export function withStorage() {
	const at = withCollection();
	beforeEach(() => {
		at.now = '1996-10-06T09:00:00.000Z';
	});

	return {
		get collection() {
			return at.collection;
		},
		/** A release of numbered cards 1 … count, with a parallel. */
		async release(key: string, year: string, count: number, format?: CardFormat): Promise<void> {
			const outcome = resolveRelease({
				release: { key, name: key.toUpperCase(), maker: 'M', year },
				sections: [
					{
						name: 'Base',
						...(format ? { format } : {}),
						cards: Array.from({ length: count }, (_, i) => ({
							number: String(i + 1),
							title: `Card ${i + 1}`
						}))
					}
				],
				parallels: [{ name: 'Brass', runs: [{ sections: ['base'] }] }]
			});
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			await importRelease(at.collection, outcome.value);
		},
		async log(release: string, line: string): Promise<void> {
			const done = await logLine(at.collection, release, { line, numbering: null, parallel: null });
			if (!done.ok) throw new RangeError(JSON.stringify(done.problems));
		},
		/** Cards that stand in boxes, and those that have no place. */
		async counts() {
			const { db } = at.collection;
			const standing = (await readBoxes(db)).reduce((sum, { cards }) => sum + cards, 0);
			const all = await homelessCopies(db, NOTHING_VALUABLE);
			return { standing, homeless: all.reduce((sum, { free }) => sum + free, 0) };
		},
		/** What stands in each row of each box: "Long box 1 / 1: A 1992 1 2 3x2". */
		async rows(): Promise<readonly string[]> {
			const boxes = await readBoxes(at.collection.db);
			const dividers = await readDividers(at.collection.db, { boxes: boxes.map(({ id }) => id) });
			return boxes.flatMap((box) =>
				dividers
					.filter(({ boxId }) => boxId === box.id)
					.map(({ row, label, standing }) => {
						const numbers = standing.map(({ number, quantity }) =>
							quantity > 1 ? `${number ?? ''}x${quantity}` : number
						);
						return `${box.name} / ${row}: ${label} ${numbers.join(' ')}`;
					})
			);
		},
		/** Stands cards of a copy behind a divider, as a person does. */
		async stand(label: string, copyId: CopyId, quantity: number): Promise<void> {
			const { id } = await this.dividerOf(label);
			await makeChange(at.collection, async (record, tx) => {
				await standBehind(record, tx, id, [{ copyId, quantity, um: 457, mg: 1800 }]);
				return { value: null, label: 'by hand' };
			});
		},
		async dividerOf(label: string) {
			const boxes = await readBoxes(at.collection.db);
			const all = await readDividers(at.collection.db, { boxes: boxes.map(({ id }) => id) });
			const found = all.find((divider) => divider.label === label);
			if (!found) throw new RangeError(`no divider ${label}`);
			return found;
		}
	};
}

import { beforeEach, expect, test } from 'vitest';
import { importRelease } from '../checklists/import-release.ts';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { addCopy } from '../copies/edit-copy.ts';
import { subjectView } from './subject-view.ts';

const at = withCollection();
beforeEach(async () => {
	for (const key of ['r', 's']) {
		const release = sampleRelease();
		await importRelease(at.collection, {
			...release,
			key,
			name: key.toUpperCase(),
			sections: release.sections.map((section) => ({
				...section,
				cards: section.cards.map((card) =>
					// Card 1 and 11: a key that begins like another one is another card.
					card.key === 'base-1' || card.key === 'base-11' ? { ...card, subjects: ['Nan'] } : card
				)
			}))
		});
	}
});

test('each card of a subject with its finishes, what is there of each, and where; copies on their way are not there', async () => {
	await addCopy(at.collection, 'r/base-1', { quantity: 2, place: 'Tin' });
	await addCopy(at.collection, 'r/base-1', { status: 'incoming' });
	await addCopy(at.collection, 'r/base-11~brass', { place: 'Safe' });
	await addCopy(at.collection, 's/base-2', {});
	const { cards, untold } = await subjectView(at.collection.db, 'Nan');
	expect(untold).toBe(0);
	expect(
		cards.map(({ releaseName, number, versions, places }) =>
			[
				releaseName,
				number,
				...versions.map(({ name, printRun, count }) => `${name} ${printRun ?? '-'} ${count}`),
				...places
			].join('|')
		)
	).toEqual([
		'R|1|base - 2|Brass 120 0|Tin',
		'R|11|base - 0|Brass 120 1|Safe',
		'S|1|base - 0|Brass 120 0',
		'S|11|base - 0|Brass 120 0'
	]);
	expect(await subjectView(at.collection.db, 'Nobody')).toEqual({ cards: [], untold: 0 });
});

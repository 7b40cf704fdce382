import { beforeEach } from 'vitest';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import { importRelease } from './checklists/import-release.ts';
import { withCollection } from './collection.fixture.ts';
import { logLine } from './copies/log.ts';
import { readCopies } from './copies/read-copies.ts';
import { rowId } from '../core/row-id.ts';

/** For tests: a collection with four gulls of 1996 and their parallel of /65; `log` puts copies in. */
export function withGulls() {
	const at = withCollection();

	beforeEach(async () => {
		const outcome = resolveRelease({
			release: { name: 'Gulls', maker: 'M', year: '1996' },
			sections: [
				{
					name: 'Base',
					cards: [1, 2, 3, 4].map((n) => ({
						number: String(n),
						title: `Gull ${n}`,
						subjects: [n === 4 ? 'Ada Hale' : 'Bram']
					}))
				}
			],
			parallels: [{ name: 'Slate', runs: [{ sections: ['base'], printRun: 65 }] }]
		});
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		await importRelease(at.collection, outcome.value);
		at.now = '1996-10-06T09:00:00.000Z';
	});

	return {
		get collection() {
			return at.collection;
		},
		set now(moment: string) {
			at.now = moment;
		},
		log: (line: string, more: object = {}) =>
			logLine(at.collection, 'gulls-1996', { line, numbering: null, parallel: null, ...more }),
		/** What is there, copy by copy: "base-1 2 mint". */
		copies: async () =>
			(await readCopies(at.collection.db, rowId(1))).map(
				({ version, quantity, condition, serial, place }) =>
					[version.replace('gulls-1996/', ''), quantity, condition, serial, place]
						.filter(Boolean)
						.join(' ')
			)
	};
}

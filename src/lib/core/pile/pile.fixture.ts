import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';

/** A release out of its draft. */
export function made(draft: Parameters<typeof resolveRelease>[0]): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
/** Two years of one model, and a rival's release. */
export const year = (name: string): Release =>
	made({
		release: { key: `l-${name}`, name: `Lights ${name}`, maker: 'Gullhaven', year: name },
		sections: [
			{
				name: 'Base',
				howToTell: 'Lamp on the back.',
				cards: [
					{ number: '1', title: 'Ada Hale', subjects: ['Ada Hale'], marks: ['rookie'] },
					{ number: '2', title: 'Storm of 27', group: 'North' },
					{ number: '27', title: 'Brass lamp' }
				]
			},
			{
				name: 'Keepers',
				kind: 'insert',
				cards: [{ title: 'Ada Hale, at home' }, { title: 'Fog' }]
			},
			{ name: 'Dogs', kind: 'insert', cards: [{ number: '1', title: 'Tar' }] }
		],
		parallels: [{ name: 'Brass', runs: [{ sections: ['base'], printRun: 50 }] }],
		variants: [
			{
				kind: 'image variation',
				name: 'at night',
				sections: ['base'],
				cards: ['2'],
				howToTell: 'A moon.'
			}
		]
	});
export const rival = made({
	release: { key: 'moths', name: 'Moths', maker: 'Rival', year: '1994' },
	sections: [{ name: 'Base', cards: [{ number: '1', title: 'Silver Y' }] }]
});

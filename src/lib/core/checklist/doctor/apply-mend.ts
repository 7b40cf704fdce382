import type { Release } from '../release.ts';
import { freeKey, slug } from '../slug.ts';
import type { Mend } from './finding.ts';
import { normalCardNumber } from '../numbers/card-number.ts';

/** The release with a finding put right. Keys of what was there stay. */
export function applyMend(release: Release, mend: Mend): Release {
	switch (mend.kind) {
		case 'add cards': {
			const taken = new Set(release.sections.flatMap(({ cards }) => cards.map(({ key }) => key)));
			const cards = mend.numbers.map((number) => ({
				key: freeKey(`${mend.section}-${slug(normalCardNumber(number))}`, taken),
				number,
				otherNumbers: [],
				title: '',
				subjects: [],
				marks: [],
				panelOf: []
			}));
			return {
				...release,
				sections: release.sections.map((section) =>
					section.key === mend.section
						? { ...section, cards: [...section.cards, ...cards] }
						: section
				)
			};
		}
		case 'add variant': {
			const taken = new Set(release.variants.map(({ key }) => key));
			const key = freeKey(slug(mend.variant.name), taken);
			return { ...release, variants: [...release.variants, { ...mend.variant, key }] };
		}
		case 'remove parallel':
			return {
				...release,
				parallels: release.parallels.filter(({ key }) => key !== mend.parallel)
			};
		case 'remove variant':
			return { ...release, variants: release.variants.filter(({ key }) => key !== mend.variant) };
	}
}

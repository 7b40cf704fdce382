import { numberingsOf, type NumberedCard } from '../../checklist/numbering.ts';
import { runRuleFor } from '../../checklist/parallel.ts';
import type { Release } from '../../checklist/release.ts';
import type { Run } from './run.ts';

/**
 * The cards of a run, in number order: those of its section and of the subsets that live in its numbering,
 * as far as they were made in its finish. All cards, where the run is a whole release.
 *
 * @example a finish of 19 cards of a section of 289 has 19
 */
export function cardsOfRun(
	release: Release,
	{ section, parallel }: Pick<Run, 'section' | 'parallel'>
): readonly NumberedCard[] {
	const numberings = numberingsOf(release);
	const filed = section === null ? numberings : numberings.filter(({ key }) => key === section);
	const cards = filed.flatMap((numbering) => numbering.cards);
	if (parallel === null) return cards;
	const finish = release.parallels.find(({ key }) => key === parallel);
	return finish === undefined
		? []
		: cards.filter((filedCard) => runRuleFor(finish, filedCard.section, filedCard.card));
}

import { Type, type Static } from 'typebox';
import { DIFFICULTY_LEVELS } from '../core/checklist/difficulty.ts';
import { RARITY_KNOWLEDGE } from '../core/checklist/rarity/rarity-scale.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { closed, orNull, said, Whole, Word } from './vocabulary.ts';

const Amount = Type.Number({ minimum: 0 });
const BoundsSchema = Type.Object(
	{ least: said(Amount, 'From, included.'), most: said(Amount, 'To, included.') },
	closed
);

export const RarityScaleInput = Type.Object(
	{ checklist: said(ChecklistBodySchema, 'The release.') },
	closed
);
export const RarityScaleOutput = Type.Object(
	{
		rows: said(
			Type.Array(
				Type.Object(
					{
						sectionKey: said(Word, 'Key of the section.'),
						parallelKey: said(orNull(Word), 'Key of the finish; null: base.'),
						isShortPrint: said(
							Type.Boolean(),
							'Whether these are short prints among their section.'
						),
						cards: said(Type.Array(Word), 'Keys of the cards.'),
						knowledge: said(Type.Enum([...RARITY_KNOWLEDGE]), 'How it is known.'),
						printRun: said(
							orNull(Whole),
							'Copies of each card, stamped or estimated; null: not known.'
						),
						packsForOne: said(
							orNull(Amount),
							'Packs for one copy of a given card, on the average; null: not known.'
						),
						packType: said(orNull(Word), 'Key of the pack type in which that is.'),
						difficulty: said(
							orNull(Type.Enum([...DIFFICULTY_LEVELS])),
							'By experience; null: none is told.'
						),
						copiesEach: said(
							orNull(BoundsSchema),
							'Copies of each card that were made; null: nothing leads to a number.'
						),
						scale: said(
							Type.Enum(['copies', 'packs', 'experience', 'none']),
							'Rows of the same scale can be held against each other.'
						)
					},
					closed
				)
			),
			'By scale, the rarest first.'
		),
		packsMade: said(
			orNull(BoundsSchema),
			'Packs made, from what has both odds and a run; null: nothing has, or there are several kinds of pack.'
		),
		byKnowledge: said(
			Type.Array(
				Type.Object(
					{
						knowledge: said(Type.Enum([...RARITY_KNOWLEDGE]), 'A kind of knowledge.'),
						versions: said(Whole, 'Regular versions of which the best knowledge is of this kind.')
					},
					closed
				)
			),
			'How much is known how.'
		)
	},
	closed
);

export type RarityScaleRequest = Static<typeof RarityScaleInput>;

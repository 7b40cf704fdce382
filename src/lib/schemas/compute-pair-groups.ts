import { Type, type Static } from 'typebox';
import { closed, list, said, Whole, Word } from './vocabulary.ts';

const Pockets = Type.Integer({ minimum: 1, maximum: 1000 });

export const PairGroupsInput = Type.Object(
	{
		groups: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the group in the answer.'),
						size: said(Pockets, 'Pockets that it takes.'),
						label: said(
							Type.Optional(Word),
							'Groups of one label rather share a page, as far as that takes no further one: a team, a release. Left out: none.'
						)
					},
					closed
				),
				5000
			),
			'Groups that are not to be split, unless they are larger than a page.'
		),
		capacity: said(Pockets, 'Pockets of a page.')
	},
	closed
);
export const PairGroupsOutput = Type.Object(
	{
		pages: said(
			Type.Array(
				Type.Object(
					{
						groups: said(
							Type.Array(
								Type.Object(
									{
										key: said(Word, 'Key of the group.'),
										pockets: said(Pockets, 'Pockets of it on this page.')
									},
									closed
								)
							),
							'What lies on the page.'
						),
						empty: said(Whole, 'Pockets left empty.')
					},
					closed
				)
			),
			'The pages, in order.'
		),
		leastPages: said(Whole, 'No arrangement has fewer pages.'),
		isExact: said(Type.Boolean(), 'Whether it is certain that none has fewer than this one.')
	},
	closed
);

export type PairGroupsRequest = Static<typeof PairGroupsInput>;

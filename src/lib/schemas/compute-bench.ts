import { Type, type Static } from 'typebox';
import { ASPECTS } from '../core/condition/worksheet-levels.ts';
import { PICTURE_KINDS } from '../core/measuring/centring/centring-of-quads.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed, list, orNull, said, Whole, Word } from './vocabulary.ts';

/* The bench: a card measured on a scan, and judged by a worksheet. */

const Optional = Type.Optional;
const Pixel = Type.Integer({ minimum: 1, maximum: 20_000 });
const Mm = Type.Number({ exclusiveMinimum: 0, maximum: 5000 });
const Length = Type.Number({ minimum: 0 });
const Degrees = Type.Number({ minimum: -360, maximum: 360 });
const Percent = Type.Number({ minimum: 0, maximum: 100 });
const Base64 = Type.String({ maxLength: 8_000_000, contentEncoding: 'base64' });
const PointSchema = Type.Object(
	{
		x: said(Type.Number({ minimum: -20_000, maximum: 40_000 }), 'From the left, in pixels.'),
		y: said(Type.Number({ minimum: -20_000, maximum: 40_000 }), 'From the top, in pixels.')
	},
	closed
);
const QuadSchema = Type.Object(
	{
		topLeft: said(PointSchema, 'As it lies in the picture.'),
		topRight: said(PointSchema, 'Likewise.'),
		bottomRight: said(PointSchema, 'Likewise.'),
		bottomLeft: said(PointSchema, 'Likewise.')
	},
	closed
);

export const CentringInput = Type.Object(
	{
		file: said(Optional(Base64), 'A picture as PNG, JPEG or WebP, in base64.'),
		picture: said(
			Optional(
				Type.Object(
					{
						widthPx: said(Pixel, 'Pixels to a row.'),
						heightPx: said(Pixel, 'Rows of them.'),
						channels: said(Type.Enum([1, 3]), '1: grey. 3: red, green, blue.'),
						pixels: said(Base64, 'A byte for each channel of each pixel, row by row, in base64.')
					},
					closed
				)
			),
			'Instead: the pixels themselves.'
		),
		guides: said(
			Optional(
				Type.Object(
					{
						outer: said(QuadSchema, 'The edges of the card.'),
						inner: said(QuadSchema, 'The frame within its border.'),
						errorPx: said(
							Optional(Type.Number({ minimum: 0, maximum: 100 })),
							'How exactly they were laid, in pixels; left out: 1.'
						)
					},
					closed
				)
			),
			'Instead: guides that were laid by hand; no picture is needed.'
		),
		kind: said(
			Optional(Type.Enum([...PICTURE_KINDS])),
			'scan: flat on the glass. photo: seen at a slant, which the outer edges tell. Left out: scan.'
		),
		widthMm: said(Optional(Mm), 'The true width of the card, for the scale.'),
		pxPerMm: said(
			Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })),
			'Instead: pixels to a millimetre.'
		),
		hasId1: said(
			Optional(Type.Boolean()),
			'Instead: an ID-1 card (85.60 × 53.98 mm) lies beside it. Left out: no.'
		),
		stated: said(
			Optional(
				Type.Object(
					{
						widthMm: said(Mm, 'Its width as it should be.'),
						heightMm: said(Mm, 'Its height.'),
						offMm: said(
							Optional(Type.Number({ minimum: 0, maximum: 1000 })),
							'It may be off by so much; left out: 0.5.'
						),
						offDeg: said(
							Optional(Type.Number({ minimum: 0, maximum: 90 })),
							'A corner may be off a right angle by so much; left out: 0.5.'
						)
					},
					closed
				)
			),
			'The size that it should have; left out: it is not judged.'
		)
	},
	closed
);
export type CentringRequest = Static<typeof CentringInput>;

const ShareSchema = Type.Object(
	{
		percent: said(Percent, 'The part that the left (the top) border makes of both.'),
		offBy: said(Length, 'In percentage points, two standard errors.'),
		ratio: said(Word, 'left:right, top:bottom: 55:45.')
	},
	closed
);

export const CentringOutput = Type.Object(
	{
		confidence: said(
			Type.Number({ minimum: 0, maximum: 1 }),
			'0: it cannot be said, for the reasons.'
		),
		reasons: said(Type.Array(Type.String()), 'Why it cannot be said, or what to mind.'),
		leftRight: said(orNull(ShareSchema), 'null: it cannot be said.'),
		topBottom: said(orNull(ShareSchema), 'null likewise.'),
		borders: said(
			orNull(
				Type.Object(
					{
						left: said(Length, 'In pixels.'),
						right: said(Length, 'In pixels.'),
						top: said(Length, 'In pixels.'),
						bottom: said(Length, 'In pixels.')
					},
					closed
				)
			),
			'How wide the borders are; null likewise.'
		),
		turnDeg: said(
			orNull(Degrees),
			'How far the card is turned, clockwise; null: its edges are not seen.'
		),
		outer: said(orNull(QuadSchema), 'Its edges; null likewise.'),
		inner: said(orNull(QuadSchema), 'The frame within its border; null: none is seen.'),
		size: said(
			orNull(
				Type.Object(
					{
						widthMm: said(Length, 'Mean of top and bottom.'),
						heightMm: said(Length, 'Mean of left and right.'),
						widthDifferenceMm: said(Length, 'By so much the longer of top and bottom is longer.'),
						heightDifferenceMm: said(Length, 'Likewise left and right.'),
						offSquareDeg: said(Length, 'How far the worst corner is off a right angle.')
					},
					closed
				)
			),
			'null: no scale is known.'
		),
		cut: said(
			orNull(
				Type.Object(
					{
						verdict: said(
							Type.Enum(['as stated', 'short', 'long', 'not square']),
							'short: trimmed, or hand-cut within the line.'
						),
						widthOffMm: said(Type.Number(), 'Measured less stated.'),
						heightOffMm: said(Type.Number(), 'Likewise.'),
						isSquare: said(Type.Boolean(), 'Within the tolerance.')
					},
					closed
				)
			),
			'Against the size that it should have; null: none is stated, or no scale is known.'
		)
	},
	closed
);

const Levels = list(Word, 12);
const SideSchema = Type.Object(
	{
		leftRight: said(Percent, 'The part that the left border makes of both.'),
		topBottom: said(Percent, 'The part that the top border makes of both.'),
		offBy: said(Optional(Percent), 'How far off that may be, in percentage points; left out: 0.')
	},
	closed
);
const LevelSchema = Type.Object(
	{
		key: said(Word, 'The level.'),
		lookFor: said(Optional(Type.String({ maxLength: 400 })), 'What it looks like.'),
		word: said(ConditionSchema, 'The best word that such a card still gets.')
	},
	closed
);

const AspectLevels = Optional(list(LevelSchema, 12, { minItems: 1 }));

export const ConditionWorksheetInput = Type.Object(
	{
		sheets: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the card.'),
						section: said(Optional(Word), 'What fault rates are made by; left out: all together.'),
						front: said(Optional(SideSchema), 'Its front; left out: not measured.'),
						back: said(Optional(SideSchema), 'Its back; left out: not measured.'),
						corners: said(Optional(Levels), 'The level of each corner; left out: nobody looked.'),
						edges: said(Optional(Levels), 'The level of each edge; left out: nobody looked.'),
						surface: said(Optional(Levels), 'What was found on it; left out: nobody looked.')
					},
					closed
				),
				10_000,
				{ minItems: 1 }
			),
			'What was seen.'
		),
		limits: said(
			Optional(
				list(
					Type.Object(
						{
							word: said(ConditionSchema, 'The word.'),
							frontPercent: said(
								Percent,
								'The wider border makes at most this part of both, in front.'
							),
							backPercent: said(Percent, 'Likewise on the back.')
						},
						closed
					),
					6,
					{ minItems: 1 }
				)
			),
			'Tolerances, the best first; left out: 60/75, 70/90, 80/95, 90, 95 (common practice, no source).'
		),
		levels: said(
			Optional(
				Type.Object(
					{
						corners: said(AspectLevels, 'Levels of corners, the best first; left out: the usual.'),
						edges: said(AspectLevels, 'Levels of edges, the best first; left out: the usual.'),
						surface: said(
							AspectLevels,
							'Levels of the surface, the best first; left out: the usual.'
						)
					},
					closed
				)
			),
			'What is looked for; left out: the usual table.'
		),
		weakFrom: said(
			Optional(ConditionSchema),
			'An aspect is weak where it allows no better word; left out: excellent.'
		)
	},
	closed
);
export type ConditionWorksheetRequest = Static<typeof ConditionWorksheetInput>;

const AspectEnum = Type.Enum(['centring', ...ASPECTS]);
const Findings = Type.Array(
	Type.Object(
		{
			aspect: said(AspectEnum, 'What was looked at.'),
			word: said(ConditionSchema, 'What it allows at best.'),
			atBest: said(
				ConditionSchema,
				'The same where a rough measurement is off by as much as it may be.'
			),
			reason: said(Type.String(), 'Why it is so.')
		},
		closed
	)
);

export const ConditionWorksheetOutput = Type.Object(
	{
		sheets: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The card.'),
						word: said(
							orNull(ConditionSchema),
							'The worst of what was looked at: a suggestion, not what a house will say; null: nothing was.'
						),
						atBest: said(
							orNull(ConditionSchema),
							'The same if rough measurements are off; null likewise.'
						),
						because: said(Findings, 'What decides.'),
						findings: said(Findings, 'Aspect by aspect.'),
						notLookedAt: said(Type.Array(AspectEnum), 'The word can only fall by these.')
					},
					closed
				)
			),
			'Card by card.'
		),
		rates: said(
			Type.Array(
				Type.Object(
					{
						section: said(Word, 'The section.'),
						aspect: said(AspectEnum, 'What is weak.'),
						weak: said(Whole, 'Weak in so many …'),
						looked: said(Whole, '… of so many that were looked at.'),
						low: said(Percent, 'The rate is at least this, with 95 % certainty …'),
						high: said(Percent, '… and at most this.')
					},
					closed
				)
			),
			'Where the faults of sections lie.'
		)
	},
	closed
);

import { openPicture } from '../media/open-picture.ts';
import {
	conditionWorksheet,
	faultRates,
	USUAL_WORKSHEET_RULES
} from '../../core/condition/condition-worksheet.ts';
import { ASPECTS, type AspectLevel } from '../../core/condition/worksheet-levels.ts';
import {
	centringOfGuides,
	measureCentring,
	outlineOfGuides,
	type MeasuredCard,
	type ScaleSource
} from '../../core/measuring/centring/measure-centring.ts';
import type { Picture } from '../../core/measuring/centring/picture.ts';
import { judgeSize, USUAL_SIZE_TOLERANCE } from '../../core/measuring/hand-cut.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import {
	CentringInput,
	CentringOutput,
	ConditionWorksheetInput,
	ConditionWorksheetOutput,
	type CentringRequest,
	type ConditionWorksheetRequest
} from '../../schemas/compute-bench.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

/** The most pixels that are looked at; larger files are taken smaller. */
const MOST_PIXELS = 12_000_000;

export const centringComputation = defineComputation({
	name: 'centring',
	summary:
		'A card on a scan or photo: its edges, the frame within its border, left:right and top:bottom with an error band, its size.',
	input: CentringInput,
	output: CentringOutput,
	async run(request: CentringRequest) {
		const { kind = 'scan', guides, stated } = request;
		const scale = scaleOf(request);
		const ways = [request.file, request.picture, guides].filter((way) => way !== undefined);
		const problems: readonly Problem[] = [
			...(ways.length === 1
				? []
				: [
						{
							pointer: '',
							message: ways.length === 0 ? 'there is no picture' : 'the picture is given twice',
							remedy: 'Give file, picture or guides.'
						}
					]),
			...(scale.ok ? [] : scale.problems)
		];
		if (!scale.ok || problems.length > 0) return bad(problems);
		const picture = await pictureOf(request);
		if (!picture.ok) return bad(picture.problems);
		const card: MeasuredCard =
			guides || !picture.value
				? byGuides(guides, kind, scale.value)
				: measureCentring(picture.value, kind, scale.value);
		const { centring, ...measured } = card;
		return good({
			...measured,
			leftRight: centring?.leftRight ?? null,
			topBottom: centring?.topBottom ?? null,
			borders: centring?.borders ?? null,
			cut: card.size && stated ? judgeSize(card.size, { ...USUAL_SIZE_TOLERANCE, ...stated }) : null
		});
	}
});

/** What guides laid by hand say. */
function byGuides(
	guides: CentringRequest['guides'],
	kind: NonNullable<CentringRequest['kind']>,
	scale: ScaleSource
): MeasuredCard {
	if (!guides) throw new RangeError('byGuides: there are none');
	const { outer, inner, errorPx = 1 } = guides;
	return {
		...{ confidence: 1, reasons: [], outer, inner },
		...outlineOfGuides(outer, scale),
		centring: centringOfGuides(outer, inner, kind, errorPx)
	};
}

/** How the scale is known: by at most one of three. */
function scaleOf({ widthMm, pxPerMm, hasId1 }: CentringRequest): Outcome<ScaleSource> {
	const ways: ScaleSource[] = [
		...(widthMm === undefined ? [] : [{ by: 'width' as const, widthMm }]),
		...(pxPerMm === undefined ? [] : [{ by: 'resolution' as const, pxPerMm }]),
		...(hasId1 ? [{ by: 'id-1' as const }] : [])
	];
	if (ways.length > 1) {
		const message = 'the scale is given twice';
		return bad([{ pointer: '/widthMm', message, remedy: 'Give widthMm, pxPerMm or hasId1.' }]);
	}
	return good(ways[0] ?? null);
}

/** The picture of a body; null: it has guides instead. */
async function pictureOf({ file, picture }: CentringRequest): Promise<Outcome<Picture | null>> {
	if (picture) {
		const { widthPx, heightPx, channels } = picture;
		const pixels = new Uint8Array(Buffer.from(picture.pixels, 'base64'));
		const wanted = widthPx * heightPx * channels;
		if (pixels.length === wanted) return good({ widthPx, heightPx, channels, pixels });
		const message = `${widthPx} × ${heightPx} pixels of ${channels} are ${wanted} bytes, not ${pixels.length}`;
		return bad([{ pointer: '/picture/pixels', message, remedy: 'Send all bytes, in base64.' }]);
	}
	if (file === undefined) return good(null);
	const opened = await openPicture(Buffer.from(file, 'base64'), 200_000_000);
	if (!opened.ok) return bad(opened.problems.map((problem) => ({ ...problem, pointer: '/file' })));
	try {
		const image = opened.value;
		const { width, height } = await image.metadata();
		const shrink = Math.min(1, Math.sqrt(MOST_PIXELS / (width * height)));
		const { data, info } = await image
			.rotate()
			.resize({ width: Math.max(1, Math.round(width * shrink)) })
			.flatten({ background: '#fff' })
			.toColourspace('srgb')
			.removeAlpha()
			.raw()
			.toBuffer({ resolveWithObject: true });
		const channels = info.channels === 1 ? 1 : 3;
		const pixels = new Uint8Array(data);
		return good({ widthPx: info.width, heightPx: info.height, channels, pixels });
	} catch {
		const message = 'this is no picture that can be read';
		return bad([{ pointer: '/file', message, remedy: 'Send a PNG, JPEG or WebP, in base64.' }]);
	}
}

export const conditionWorksheetComputation = defineComputation({
	name: 'condition-worksheet',
	summary:
		'The condition word that centring, corners, edges and surface allow, with its reason; fault rates by section.',
	input: ConditionWorksheetInput,
	output: ConditionWorksheetOutput,
	run({ sheets, limits, levels = {}, weakFrom = 'excellent' }: ConditionWorksheetRequest) {
		const table = Object.fromEntries(
			ASPECTS.map((aspect) => [
				aspect,
				levels[aspect]?.map(({ lookFor = '', ...level }): AspectLevel => ({ ...level, lookFor })) ??
					USUAL_WORKSHEET_RULES.levels[aspect]
			])
		) as Record<(typeof ASPECTS)[number], readonly AspectLevel[]>;
		const problems: readonly Problem[] = [
			...repeated('sheets', 'key', sheets),
			...ASPECTS.flatMap((aspect) => repeated(`levels/${aspect}`, 'key', table[aspect])),
			...sheets.flatMap((sheet, i) =>
				ASPECTS.flatMap((aspect) =>
					(sheet[aspect] ?? []).flatMap((key, j): readonly Problem[] =>
						table[aspect].some((level) => level.key === key)
							? []
							: [
									{
										pointer: `/sheets/${i}/${aspect}/${j}`,
										message: `"${key}" is no level of ${aspect}`,
										remedy: `Name one of: ${table[aspect].map((level) => level.key).join(', ')}.`
									}
								]
					)
				)
			)
		];
		if (problems.length > 0) return bad(problems);
		const rules = { limits: limits ?? USUAL_WORKSHEET_RULES.limits, levels: table };
		const answers = sheets.map(({ key, section = 'all', front, back, ...seen }) => ({
			...{ key, section },
			answer: conditionWorksheet(
				{
					...seen,
					...(front ? { front: { offBy: 0, ...front } } : {}),
					...(back ? { back: { offBy: 0, ...back } } : {})
				},
				rules
			)
		}));
		return good({
			sheets: answers.map(({ key, answer }) => ({ key, ...answer })),
			rates: faultRates(answers, weakFrom)
		});
	}
});

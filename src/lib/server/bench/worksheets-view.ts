import { count, desc, eq, inArray } from 'drizzle-orm';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import {
	conditionWorksheet,
	faultRates,
	type Worksheet
} from '../../core/condition/condition-worksheet.ts';
import { ASPECTS } from '../../core/condition/worksheet-levels.ts';
import { groupName } from '../../core/goal/missing-list.ts';
import { versionNamer } from '../../core/copies/name-version.ts';
import type { Reader } from '../database/open.ts';
import { copies, releases, worksheets } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';
import { readWorksheetRules } from './worksheet-rules.ts';

/** Worksheets that are listed, the last first; rates are of all of the release. */
const MOST_LISTED = 200;

/** Worksheets of a release, and how often which aspect is weak in its sections; null: of the one that most are of. */
export async function worksheetsView(db: Reader, key: string | null) {
	const rules = await readWorksheetRules(db);
	const known = await db
		.select({ key: releases.key, name: releases.name, id: releases.id, sheets: count() })
		.from(worksheets)
		.innerJoin(copies, eq(copies.id, worksheets.copyId))
		.innerJoin(releases, eq(releases.id, copies.releaseId))
		.groupBy(releases.id)
		.orderBy(desc(count()), releases.id);
	const chosen = known.find((each) => each.key === key) ?? known[0];
	const head = {
		rules,
		releases: known.map(({ key: each, name, sheets }) => ({ key: each, name, sheets }))
	};
	const [stored] = chosen ? await loadReleases(db, [chosen.id]) : [];
	if (!stored) return { ...head, release: null, rates: [], sheets: [] };
	const { release } = stored;
	const find = cardFinder(release);
	const nameOf = versionNamer(release);
	const rows = await db
		.select({ sheet: worksheets, copy: copies })
		.from(worksheets)
		.innerJoin(copies, eq(copies.id, worksheets.copyId))
		.where(inArray(copies.releaseId, [stored.id]))
		.orderBy(desc(worksheets.seenOn), desc(worksheets.id));
	const all = rows.map(({ sheet, copy }) => {
		const { cardKey: card, parallelKey: parallel, variantKey: variant } = copy;
		const version = formatVersionKey({ release: release.key, card, parallel, variant });
		const found = find(version);
		const { name, title } = nameOf(version);
		const answer = conditionWorksheet(knownLevels(sheet.sheet, rules), rules);
		return {
			...{ id: sheet.id, copyId: copy.id, cardKey: card, seenOn: sheet.seenOn, answer },
			name: name.startsWith(title) ? name : `${name} ${title}`,
			section: found ? groupName(release, found.section, parallel) : '',
			...{ estimate: sheet.estimate, thicknessPt: sheet.thicknessPt, note: sheet.note },
			...{ condition: copy.condition, grade: copy.grade, house: copy.house }
		};
	});
	return {
		...head,
		release: release.key,
		rates: faultRates(all, rules.weakFrom),
		sheets: all.slice(0, MOST_LISTED)
	};
}
export type WorksheetsView = Awaited<ReturnType<typeof worksheetsView>>;

/** A sheet without the levels that the rules no longer have. */
export function knownLevels(
	sheet: Worksheet,
	{ levels }: Awaited<ReturnType<typeof readWorksheetRules>>
): Worksheet {
	return {
		...sheet,
		...Object.fromEntries(
			ASPECTS.flatMap((aspect) => {
				const seen = sheet[aspect]?.filter((key) =>
					levels[aspect].some((level) => level.key === key)
				);
				return seen === undefined ? [] : [[aspect, seen]];
			})
		)
	};
}

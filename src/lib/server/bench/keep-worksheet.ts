import { eq } from 'drizzle-orm';
import {
	conditionWorksheet,
	type SideCentring,
	type Worksheet
} from '../../core/condition/condition-worksheet.ts';
import { ASPECTS, type Aspect } from '../../core/condition/worksheet-levels.ts';
import { parseQuality } from '../../core/copies/quality-label.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { CopyId } from '../../core/row-id.ts';
import { changePicked } from '../copies/change-copies.ts';
import type { Collection } from '../database/open.ts';
import { copies, worksheets } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readWorksheetRules } from './worksheet-rules.ts';

/** A worksheet as it is typed; empty: nobody looked, or it was not measured. */
export interface TypedWorksheet {
	/** The left (top) border's part of both in percent, and how far off that may be. */
	readonly front: TypedSide;
	readonly back: TypedSide;
	/** Keys of levels. */
	readonly levels: Readonly<Record<Aspect, readonly string[]>>;
	readonly widthMm: string;
	readonly heightMm: string;
	readonly thicknessPt: string;
	/** The grade that its owner thinks it is. */
	readonly estimate: string;
	readonly note: string;
	/** Whether the copy gets the word that is suggested. */
	readonly takesWord: boolean;
}

export interface TypedSide {
	readonly leftRight: string;
	readonly topBottom: string;
	readonly offBy: string;
}

/** Keeps what was seen of a copy; it replaces what was seen before. With any problem nothing is kept. */
export function keepWorksheet(
	collection: Collection,
	copyId: CopyId,
	typed: TypedWorksheet
): Promise<Outcome<{ readonly word: string | null }>> {
	return makeChange(collection, async (record, tx) => {
		const [copy] = await tx.select().from(copies).where(eq(copies.id, copyId));
		if (!copy) {
			return refused([{ message: 'this copy is gone', remedy: 'Choose another one.' }]);
		}
		const rules = await readWorksheetRules(tx);
		const problems: Problem[] = [];
		const numberOf = (text: string, field: string, most: number): number | null => {
			const said = text.trim().replace(',', '.');
			if (said === '') return null;
			const value = /^\d+(\.\d+)?$/.test(said) ? Number(said) : NaN;
			if (value >= 0 && value <= most) return value;
			const message = `"${text.trim().slice(0, 30)}" is no number from 0 to ${most}`;
			problems.push({ field, message, remedy: 'Write one, or nothing.' });
			return null;
		};
		const sideOf = (side: TypedSide, name: string): SideCentring | null => {
			const leftRight = numberOf(side.leftRight, `${name}, left to right`, 100);
			const topBottom = numberOf(side.topBottom, `${name}, top to bottom`, 100);
			const offBy = numberOf(side.offBy, `${name}, off by`, 50) ?? 0;
			if (leftRight === null && topBottom === null) return null;
			if (leftRight !== null && topBottom !== null) return { leftRight, topBottom, offBy };
			if (problems.length === 0) {
				const message = `of the ${name} only one way is measured`;
				problems.push({ message, remedy: 'Write left to right and top to bottom, or neither.' });
			}
			return null;
		};
		const [front, back] = [sideOf(typed.front, 'front'), sideOf(typed.back, 'back')];
		for (const aspect of ASPECTS) {
			for (const key of typed.levels[aspect]) {
				if (rules.levels[aspect].some((level) => level.key === key)) continue;
				const remedy = `Name one of: ${rules.levels[aspect].map((level) => level.key).join(', ')}.`;
				problems.push({ field: aspect, message: `"${key}" is no level of ${aspect}`, remedy });
			}
		}
		const estimate = parseQuality(typed.estimate);
		const grade = estimate.ok ? (estimate.value.grade ?? null) : null;
		if (typed.estimate.trim() !== '' && grade === null) {
			const message = `"${typed.estimate.trim().slice(0, 20)}" is no grade`;
			problems.push({ field: 'estimate', message, remedy: 'Grades go from 1 to 10 in halves.' });
		}
		const measures = {
			widthMm: numberOf(typed.widthMm, 'width', 5000),
			heightMm: numberOf(typed.heightMm, 'height', 5000),
			thicknessPt: numberOf(typed.thicknessPt, 'thickness', 1000)
		};
		if (problems.length > 0) return refused(problems);
		const sheet: Worksheet = {
			...(front ? { front } : {}),
			...(back ? { back } : {}),
			...Object.fromEntries(
				ASPECTS.flatMap((aspect) => {
					const seen = typed.levels[aspect];
					return seen.length > 0 ? [[aspect, [...seen]]] : [];
				})
			)
		};
		const { word } = conditionWorksheet(sheet, rules);
		const row = {
			...{ copyId, sheet, word, estimate: grade, ...measures },
			seenOn: collection.now().slice(0, 10),
			note: typed.note.trim() === '' ? null : typed.note.trim()
		};
		const [known] = await tx.select().from(worksheets).where(eq(worksheets.copyId, copyId));
		if (known) await record.update(worksheets, known.id, row);
		else await record.insert(worksheets, [row]);
		if (typed.takesWord && word !== null) {
			const { quantity } = copy;
			const changed = await changePicked(record, tx, [
				{ copyId, quantity, fields: { condition: word } }
			]);
			if (!changed.ok) return refused(changed.problems);
		}
		return { value: good({ word }), label: `Worksheet of a copy${word ? `: ${word}` : ''}` };
	});
}

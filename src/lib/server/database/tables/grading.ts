import { sqliteTable, index, integer, real, text } from 'drizzle-orm/sqlite-core';
import type { Worksheet } from '../../../core/condition/condition-worksheet.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type {
	CopyId,
	OutingId,
	SubmissionCardId,
	SubmissionId,
	WorksheetId
} from '../../../core/row-id.ts';
import type { SubmissionPurpose } from '../../../core/worth/grading/submission.ts';
import { copies } from './copies.ts';
import { outings } from './outings.ts';

/** Cards sent to a house together. Amounts in minor units of the currency (ISO 4217). */
export const submissions = sqliteTable('submissions', {
	id: integer().$type<SubmissionId>().primaryKey({ autoIncrement: true }),
	/** By its name: a submission outlives the list of houses. */
	house: text().notNull(),
	/** What the house calls the service that was chosen. */
	tier: text().notNull(),
	/** Of each card. */
	feeMinor: integer().notNull(),
	/** Postage and insurance both ways, of all together. */
	postageMinor: integer().notNull(),
	currency: text().notNull(),
	/** ISO 8601 dates; null: nobody has said when they are due. */
	sentOn: text().notNull(),
	dueOn: text()
});

/** A card of a submission. It outlives its copy, so that the collector's eye stays calibrated. */
export const submissionCards = sqliteTable(
	'submission_cards',
	{
		id: integer().$type<SubmissionCardId>().primaryKey({ autoIncrement: true }),
		submissionId: integer()
			.$type<SubmissionId>()
			.notNull()
			.references(() => submissions.id),
		/** null: the copy is gone. */
		copyId: integer()
			.$type<CopyId>()
			.references(() => copies.id),
		outingId: integer()
			.$type<OutingId>()
			.references(() => outings.id),
		/** Key of its version. */
		version: text().notNull(),
		purpose: text().$type<SubmissionPurpose>().notNull(),
		/** What it is insured for, in minor units; null: nothing is said. */
		insuredMinor: integer(),
		/** The grade that its owner thinks it is. */
		estimate: real(),
		/** What came back: ISO 8601 date; null: it is out. */
		backOn: text(),
		grade: real(),
		isAuthentic: integer({ mode: 'boolean' }).notNull().default(false),
		qualifier: text(),
		certificate: text()
	},
	(table) => [
		index('submission_cards_submission').on(table.submissionId),
		index('submission_cards_copy').on(table.copyId),
		index('submission_cards_outing').on(table.outingId)
	]
);

/** What was seen of a copy at the bench: one worksheet a copy, the last. */
export const worksheets = sqliteTable(
	'worksheets',
	{
		id: integer().$type<WorksheetId>().primaryKey({ autoIncrement: true }),
		copyId: integer()
			.$type<CopyId>()
			.notNull()
			.references(() => copies.id),
		/** ISO 8601 date */
		seenOn: text().notNull(),
		sheet: text({ mode: 'json' }).$type<Worksheet>().notNull(),
		/** The word that it suggested; null: nothing was looked at. */
		word: text().$type<Condition>(),
		/** The grade that its owner thinks it is. */
		estimate: real(),
		widthMm: real(),
		heightMm: real(),
		thicknessPt: real(),
		note: text()
	},
	(table) => [index('worksheets_copy').on(table.copyId)]
);

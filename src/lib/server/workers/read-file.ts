import type { GradedValue } from '../../formats/read-graded-table.ts';
import { bad, type Outcome } from '../../core/problem.ts';
import type {
	CardListReading,
	ChecklistReading,
	TableChoice
} from '../../formats/read-checklist.ts';
import type { HoldingsChoice, HoldingsReading } from '../../formats/read-holdings.ts';
import type { OffersChoice, OffersReading } from '../../formats/read-offers.ts';
import { runTask, TooMuch } from './run-task.ts';

/** Reads a checklist file in a worker; one that takes too long or too much memory is a problem like others. */
export async function readChecklistFile(
	bytes: Uint8Array,
	choice: TableChoice,
	signal: AbortSignal
): Promise<ChecklistReading> {
	return runTask('readChecklist', { bytes, choice }, signal).catch(givenUp);
}

/** The same for a list of cards of any releases. */
export async function readCardListFile(
	bytes: Uint8Array,
	choice: TableChoice,
	signal: AbortSignal
): Promise<CardListReading> {
	return runTask('readCardList', { bytes, choice }, signal).catch(givenUp);
}

/** The same for a list of holdings. */
export async function readHoldingsFile(
	bytes: Uint8Array,
	choice: HoldingsChoice,
	signal: AbortSignal
): Promise<HoldingsReading> {
	return runTask('readHoldings', { bytes, choice }, signal).catch(givenUp);
}

/** The same for a seller's list. */
export async function readOffersFile(
	bytes: Uint8Array,
	choice: OffersChoice,
	signal: AbortSignal
): Promise<OffersReading> {
	return runTask('readOffers', { bytes, choice }, signal).catch(givenUp);
}

/** The same for a table of prices or populations by card and grade. */
export async function readGradedFile(
	bytes: Uint8Array,
	signal: AbortSignal
): Promise<Outcome<readonly GradedValue[]>> {
	return runTask('readGradedTable', { bytes }, signal).catch(
		(error: unknown) => givenUp(error).outcome
	);
}

function givenUp(error: unknown) {
	if (!(error instanceof TooMuch)) throw error;
	const why = {
		time: 'the file takes too long to read',
		memory: 'the file takes too much memory to read',
		busy: 'too many files are being read',
		gone: 'the upload was broken off'
	}[error.why];
	const remedy = error.why === 'busy' ? 'Try again in a moment.' : 'Split it into smaller files.';
	return { outcome: bad([{ message: why, remedy }]), table: null };
}

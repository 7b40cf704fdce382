import type { Problem } from '$lib/core/problem';

export interface Piece {
	readonly text: string;
	readonly mark: 'problem' | 'note' | null;
}

/** Cuts a line into pieces at the places of its problems and notes; joined, they give the line. */
export function markLine(
	line: string,
	problems: readonly Problem[],
	notes: readonly Problem[]
): readonly Piece[] {
	const marks = [
		...problems.map((place) => ({ ...place, mark: 'problem' as const })),
		...notes.map((place) => ({ ...place, mark: 'note' as const }))
	].sort((a, b) => (a.start ?? 0) - (b.start ?? 0));
	const pieces: Piece[] = [];
	let at = 0;
	for (const { start = 0, end = 0, mark } of marks) {
		if (end <= at) continue;
		if (start > at) pieces.push({ text: line.slice(at, start), mark: null });
		pieces.push({ text: line.slice(Math.max(at, start), end), mark });
		at = end;
	}
	if (at < line.length) pieces.push({ text: line.slice(at), mark: null });
	return pieces;
}

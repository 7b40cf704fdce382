import { performance } from 'node:perf_hooks';

/** The median of 15 runs in milliseconds, after one that warms up. */
export async function median(run: (i: number) => Promise<unknown>): Promise<number> {
	const times: number[] = [];
	for (let i = 0; i < 16; i++) {
		const start = performance.now();
		await run(i);
		// The first one warms up.
		if (i > 0) times.push(performance.now() - start);
	}
	return times.sort((a, b) => a - b)[7] ?? 0;
}

/** The value that a share of all lies at or below; 0 for none. */
export function percentile(values: readonly number[], share: number): number {
	const sorted = [...values].sort((a, b) => a - b);
	return sorted[Math.min(sorted.length - 1, Math.ceil(share * sorted.length) - 1)] ?? 0;
}

import type { Bench } from 'tinybench';

/** Prints the median of each task and its ratio to the baseline, "plain sort". */
export function report(title: string, bench: Bench): void {
	const medianMs = (name: string) => {
		const result = bench.getTask(name)?.result;
		if (!result || !('latency' in result)) throw new RangeError(`report: "${name}" did not run`);
		return result.latency.p50 ?? result.latency.mean;
	};
	const baseline = medianMs('plain sort');
	console.log(title);
	for (const { name } of bench.tasks) {
		const median = medianMs(name);
		console.log(
			`  ${name.padEnd(28)} ${median.toFixed(3).padStart(9)} ms  × ${(median / baseline).toFixed(2)}`
		);
	}
	console.log();
}

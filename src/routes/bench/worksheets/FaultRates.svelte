<script lang="ts">
	import type { WorksheetsView } from '$lib/server/bench/worksheets-view';

	interface Props {
		rates: WorksheetsView['rates'];
		weakFrom: string;
	}
	/** How often which aspect is weak, section by section: a bar for the rate, a line for where it may lie. */
	let { rates, weakFrom }: Props = $props();
	/** Those that most was seen of come first. */
	const sections = $derived([
		...new Set([...rates].sort((a, b) => b.looked - a.looked).map(({ section }) => section))
	]);
	const percent = (share: number) => Math.round(100 * share);
</script>

<section class="max-w-4xl" aria-labelledby="faults">
	<h2 id="faults" class="mb-1">Where the faults lie</h2>
	<p class="mb-2 text-sm quiet">
		Weak: no better than {weakFrom}. The line shows where the rate of all such cards lies, with 95 %
		certainty.
	</p>
	{#each sections as section (section)}
		<h3 class="mt-2 font-semibold">{section}</h3>
		<ul>
			{#each rates.filter((rate) => rate.section === section) as rate (rate.aspect)}
				<li class="flex flex-wrap items-center gap-x-4 py-0.5" data-testid="fault-rate">
					<span class="w-56"
						>{rate.aspect} weak in <strong>{rate.weak}</strong> of {rate.looked}</span
					>
					<svg
						viewBox="0 0 100 8"
						preserveAspectRatio="none"
						class="h-4 w-64 max-w-full"
						role="img"
						aria-label="{percent(rate.low)} to {percent(rate.high)} %"
					>
						<rect width="100" height="8" class="fill-base-200" />
						<rect width={(100 * rate.weak) / rate.looked} height="8" class="fill-primary/60" />
						<line
							x1={100 * rate.low}
							x2={100 * rate.high}
							y1="4"
							y2="4"
							class="stroke-base-content"
							stroke-width="1.4"
						/>
					</svg>
					<span class="text-sm quiet estimate">{percent(rate.low)} to {percent(rate.high)} %</span>
				</li>
			{/each}
		</ul>
	{/each}
</section>

<script lang="ts">
	import { onMount } from 'svelte';
	import { formatDayOfYear } from '$lib/ui/numerals';

	/** How far the goal was, day by day. */
	interface Props {
		history: readonly { readonly day: string; readonly have: number; readonly need: number }[];
	}
	let { history }: Props = $props();
	let canvas = $state<HTMLCanvasElement>();

	onMount(() => {
		let gone = false;
		let destroy = () => {};
		void (async () => {
			const { Chart, LineController, LineElement, PointElement, LinearScale, CategoryScale } =
				await import('chart.js');
			if (gone || !canvas) return;
			Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale);
			const style = getComputedStyle(canvas);
			Chart.defaults.font.family = style.fontFamily;
			Chart.defaults.font.size = 13;
			const ink = style.getPropertyValue('--color-primary');
			const paper = style.getPropertyValue('--color-base-300');
			const line = (values: readonly number[], color: string, dash: number[]) => ({
				data: [...values],
				borderColor: color,
				backgroundColor: color,
				borderDash: dash,
				stepped: dash.length > 0,
				pointRadius: dash.length > 0 ? 0 : 3,
				tension: 0
			});
			const chart = new Chart(canvas, {
				type: 'line',
				data: {
					labels: history.map((entry) => formatDayOfYear(entry.day)),
					datasets: [
						line(
							history.map(({ have }) => have),
							ink,
							[]
						),
						line(
							history.map(({ need }) => need),
							style.color,
							[4, 4]
						)
					]
				},
				options: {
					animation: false,
					responsive: true,
					maintainAspectRatio: false,
					scales: {
						y: { beginAtZero: true, grid: { color: paper }, ticks: { color: style.color } },
						x: { grid: { display: false }, ticks: { color: style.color } }
					}
				}
			});
			destroy = () => chart.destroy();
		})();
		return () => {
			gone = true;
			destroy();
		};
	});
</script>

{#if history.length > 1}
	<section class="mt-8" aria-labelledby="history">
		<h2 id="history" class="mb-2">Over time</h2>
		<div class="h-44"><canvas bind:this={canvas} aria-hidden="true"></canvas></div>
		<table class="sr-only">
			<caption>Cards had and needed by day</caption>
			<tbody>
				{#each history as entry (entry.day)}
					<tr><th scope="row">{entry.day}</th><td>{entry.have}</td><td>{entry.need}</td></tr>
				{/each}
			</tbody>
		</table>
	</section>
{/if}

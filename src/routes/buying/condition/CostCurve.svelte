<script lang="ts">
	import { formatMoney } from '$lib/ui/numerals';

	interface Props {
		/** Cost by average, rising. */
		curve: readonly { readonly average: number; readonly minor: number }[];
		currency: string;
		/** Averages of the plans that are looked at. */
		marks: readonly { readonly average: number; readonly minor: number }[];
	}
	/** What each step in condition costs; the canvas is drawn anew when it changes. */
	let { curve, currency, marks }: Props = $props();

	/** Chart.js is fetched when a curve is shown. */
	function draw(canvas: HTMLCanvasElement) {
		const [points, marked] = [curve, marks].map((some) =>
			some.map(({ average, minor }) => ({ x: average, y: minor / 100 }))
		);
		let gone = false;
		let destroy = () => {};
		void (async () => {
			const { Chart, LineController, LineElement, PointElement, LinearScale } =
				await import('chart.js');
			if (gone) return;
			Chart.register(LineController, LineElement, PointElement, LinearScale);
			const style = getComputedStyle(canvas);
			Chart.defaults.font.family = style.fontFamily;
			const ink = style.getPropertyValue('--color-primary');
			const paper = style.getPropertyValue('--color-base-300');
			const axis = (text: string) => ({
				type: 'linear' as const,
				title: { display: true, text, color: style.color },
				grid: { color: paper },
				ticks: { color: style.color }
			});
			const chart = new Chart(canvas, {
				type: 'line',
				data: {
					datasets: [
						{ data: points ?? [], borderColor: ink, pointRadius: 0, borderWidth: 2 },
						{
							...{ data: marked ?? [], showLine: false, pointRadius: 6 },
							pointBackgroundColor: style.getPropertyValue('--color-accent')
						}
					]
				},
				options: {
					...{ animation: false, responsive: true, maintainAspectRatio: false },
					scales: { x: axis('average condition, 1 to 10'), y: axis(`cost, ${currency}`) }
				}
			});
			destroy = () => chart.destroy();
		})();
		return () => {
			gone = true;
			destroy();
		};
	}
	/** A few of its points in numbers. */
	const rows = $derived(
		curve.filter(
			(_, i) => i % Math.max(1, Math.floor(curve.length / 6)) === 0 || i === curve.length - 1
		)
	);
</script>

<div class="h-56"><canvas {@attach draw} aria-hidden="true"></canvas></div>
<ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="Cost by average condition">
	{#each rows as { average, minor } (average)}
		<li><span class="quiet">{average.toFixed(1)}</span> {formatMoney(minor, currency)}</li>
	{/each}
</ul>

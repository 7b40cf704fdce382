<script lang="ts">
	interface Point {
		readonly x: number;
		readonly y: number;
	}
	interface Props {
		/** The first stands out; a band lies between its two edges. */
		lines: readonly { readonly name: string; readonly points: readonly Point[] }[];
		band?: { readonly low: readonly Point[]; readonly high: readonly Point[] };
		marks?: readonly Point[];
		/** Numbers that stand beside each other, behind the lines. */
		bars?: readonly Point[];
		/** What the axes show. */
		x: string;
		y: string;
		/** Whether the lines are named beside the picture. */
		isNamed?: boolean;
		class?: string;
	}
	/** Lines over numbers; the canvas is drawn anew when they change. What it shows stands beside it in numbers. */
	let {
		lines,
		band,
		marks = [],
		bars = [],
		x,
		y,
		isNamed = false,
		class: size = 'h-56'
	}: Props = $props();
	/** Lines are told apart by their dashes, not by colour alone. */
	const DASHES = [[], [8, 3], [2, 3], [10, 3, 2, 3], [5, 5], [1, 5]];

	/** Chart.js is fetched when a line is shown. */
	function draw(canvas: HTMLCanvasElement) {
		const shown = { lines, band, marks, bars };
		let gone = false;
		let destroy = () => {};
		void (async () => {
			const {
				Chart,
				Filler,
				Legend,
				LinearScale,
				LineController,
				LineElement,
				PointElement,
				BarController,
				BarElement
			} = await import('chart.js');
			if (gone) return;
			Chart.register(Filler, Legend, LinearScale, LineController, LineElement, PointElement);
			Chart.register(BarController, BarElement);
			const style = getComputedStyle(canvas);
			Chart.defaults.font.family = style.fontFamily;
			const tone = (name: string) => style.getPropertyValue(`--color-${name}`);
			const tones = [tone('primary'), tone('accent'), tone('secondary'), style.color];
			const axis = (text: string) => ({
				type: 'linear' as const,
				title: { display: true, text, color: style.color },
				grid: { color: tone('base-300') },
				ticks: { color: style.color }
			});
			const last = shown.lines[0]?.points.at(-1)?.x ?? shown.bars.at(-1)?.x;
			const edge = (points: readonly Point[], fill: string | false) => ({
				...{ label: '', data: [...points], borderWidth: 0, pointRadius: 0, fill },
				backgroundColor: `color-mix(in oklab, ${tone('primary')} 16%, transparent)`
			});
			const chart = new Chart<'line' | 'bar', Point[]>(canvas, {
				type: 'line',
				data: {
					datasets: [
						...shown.lines.map(({ name, points }, i) => ({
							...{ label: name, data: [...points], pointRadius: 0, fill: false },
							borderColor: tones[i % tones.length],
							borderDash: DASHES[i % DASHES.length],
							borderWidth: i === 0 ? 2.5 : 1.5
						})),
						...(shown.band ? [edge(shown.band.low, false), edge(shown.band.high, '-1')] : []),
						...(shown.bars.length > 0
							? [
									{
										...{ type: 'bar' as const, label: '', data: [...shown.bars] },
										...{ barPercentage: 1, categoryPercentage: 1 },
										backgroundColor: `color-mix(in oklab, ${tone('primary')} 60%, transparent)`
									}
								]
							: []),
						{
							...{ label: '', data: [...shown.marks], showLine: false, pointRadius: 6 },
							pointBackgroundColor: tone('accent')
						}
					]
				},
				options: {
					...{ animation: false, responsive: true, maintainAspectRatio: false },
					scales: { x: { ...axis(x), max: last }, y: axis(y) },
					plugins: {
						legend: {
							display: isNamed,
							labels: {
								color: style.color,
								boxHeight: 0,
								filter: ({ text }) => text !== ''
							}
						}
					}
				}
			});
			destroy = () => chart.destroy();
		})();
		return () => {
			gone = true;
			destroy();
		};
	}
</script>

<div class={size}><canvas {@attach draw} aria-hidden="true"></canvas></div>

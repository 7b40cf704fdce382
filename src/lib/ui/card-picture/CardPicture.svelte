<script lang="ts">
	import Motif from './Motif.svelte';
	import { sceneOf } from './scene';

	interface Props {
		/** The card's key with its release's: the same seed gives the same picture. */
		seed: string;
		title: string;
		group: string;
		/** Key of the parallel; null for the base finish. */
		finish?: string | null;
		number?: string | null;
		/** With name plate and number, for pictures large enough to read. */
		plate?: boolean;
		/** Fills a box of another shape than a usual card's, cut at its edges. */
		cover?: boolean;
	}
	let {
		seed,
		title,
		group,
		finish = null,
		number = null,
		plate = false,
		cover = false
	}: Props = $props();
	const scene = $derived(sceneOf(seed, title, group, finish));
	const bottom = $derived(plate ? 286 : 336);
	const clip = $props.id();
	const fontSize = $derived(Math.max(11, Math.min(19, 400 / Math.max(1, title.length))));
</script>

<!-- 2.5 × 3.5 in, in hundredths: the usual card. -->
<svg
	viewBox="0 0 250 350"
	preserveAspectRatio={cover ? 'xMidYMid slice' : undefined}
	class={['block w-full', cover ? 'h-full' : 'h-auto']}
	aria-hidden="true"
>
	<rect
		x="0.75"
		y="0.75"
		width="248.5"
		height="348.5"
		rx="9"
		fill={scene.frame}
		stroke="#000000"
		stroke-opacity="0.28"
		stroke-width="1.5"
	/>
	<clipPath id={clip}><rect x="14" y="14" width="222" height={bottom - 14} rx="3" /></clipPath>
	<g clip-path="url(#{clip})">
		<rect width="250" height="350" fill={scene.sky} />
		<circle
			cx={40 + 170 * (scene.chances[0] ?? 0)}
			cy={50 + 50 * (scene.chances[1] ?? 0)}
			r={16 + 12 * (scene.chances[2] ?? 0)}
			fill={scene.light}
		/>
		<path
			d="M0 {205 - 30 * (scene.chances[3] ?? 0)} Q70 {180 -
				40 * (scene.chances[4] ?? 0)} 140 205 T250 195 V240 H0Z"
			fill={scene.far}
		/>
		<rect y="212" width="250" height="140" fill={scene.sea} />
		{#each [226, 246, 268] as y, i (y)}
			<path
				d="M{-20 +
					30 *
						(scene.chances[i] ??
							0)} {y} q15 -8 30 0 t30 0 t30 0 t30 0 t30 0 t30 0 t30 0 t30 0 t30 0"
				fill="none"
				stroke={scene.light}
				stroke-opacity="0.35"
				stroke-width="2"
			/>
		{/each}
		<Motif {scene} />
	</g>
	{#if plate}
		<rect x="14" y="292" width="222" height="44" rx="3" fill={scene.ink} />
		<text
			x="125"
			y="320"
			text-anchor="middle"
			font-size={fontSize}
			fill="#fbf7ee"
			font-family="Literata Variable, serif">{title}</text
		>
		{#if number}
			<circle cx="212" cy="38" r="22" fill={scene.frame} />
			<text
				x="212"
				y="45"
				text-anchor="middle"
				font-size={number.length > 3 ? 15 : 21}
				font-weight="700"
				fill={finish === null ? scene.ink : '#ffffff'}>{number}</text
			>
		{/if}
	{/if}
</svg>

<script lang="ts">
	import type { Scene } from './scene';

	let { scene }: { scene: Scene } = $props();
	const lot = (i: number) => scene.chances[i] ?? 0.5;
	const lean = $derived(lot(1) < 0.5 ? 1 : -1);
	const stripes = $derived(3 + Math.floor(3 * lot(2)));
	const x = $derived(90 + 70 * lot(3));
</script>

{#if scene.motif === 'tower'}
	<path d="M{x} 92 L{x + lean * 260} {40 + 30 * lot(4)} v70 Z" fill={scene.light} opacity="0.65" />
	<path
		d="M{x - 75} 300 Q{x - 50} 225 {x - 18} 232 L{x + 24} 228 Q{x + 60} 240 {x + 85} 300Z"
		fill={scene.ink}
	/>
	<path d="M{x - 22} 236 L{x - 13} 108 h26 L{x + 22} 236Z" fill="#f6efe0" />
	{#each Array.from({ length: stripes }, (_, i) => i) as i (i)}
		{@const y = 120 + (i * 112) / stripes}
		<path
			d="M{x - 13.5 - (9 * (y - 108)) / 128} {y} h{27 + (18 * (y - 108)) / 128} l1 {50 /
				stripes} h-{29 + (18 * (y - 108)) / 128}Z"
			fill={lot(0) < 0.5 ? '#a33b2e' : scene.ink}
		/>
	{/each}
	<rect
		x={x - 11}
		y="84"
		width="22"
		height="22"
		fill={scene.light}
		stroke={scene.ink}
		stroke-width="3"
	/>
	<path d="M{x - 15} 84 L{x} 66 L{x + 15} 84Z M{x - 18} 104 h36 v5 h-36Z" fill={scene.ink} />
{:else if scene.motif === 'keeper'}
	<path d="M{x - 62} 300 Q{x - 58} 190 {x} 186 Q{x + 58} 190 {x + 62} 300Z" fill={scene.ink} />
	<circle
		cx={x}
		cy="148"
		r="34"
		fill={['#e2b48f', '#b9805a', '#7c4f37', '#f0cfae'][Math.floor(4 * lot(2))]}
	/>
	<path d="M{x - 38} 138 q38 -52 76 0 l8 6 h-92Z" fill={lot(0) < 0.5 ? '#8a6a2a' : scene.far} />
	{#if lot(4) < 0.55}<path
			d="M{x - 27} 158 q27 52 54 0 q-8 14 -27 12 q-19 2 -27 -12Z"
			fill="#efe9dd"
		/>{/if}
	<circle cx={x + lean * 66} cy="226" r="22" fill={scene.light} opacity="0.55" />
	<rect
		x={x + lean * 66 - 9}
		y="212"
		width="18"
		height="28"
		rx="4"
		fill={scene.light}
		stroke={scene.ink}
		stroke-width="4"
	/>
{:else if scene.motif === 'ferry'}
	<g transform="translate({x} 0) scale({lean} 1)">
		<path d="M-88 218 H92 L70 262 H-68Z" fill={lot(0) < 0.5 ? '#a33b2e' : scene.ink} />
		<path d="M-58 218 v-32 h96 v32Z" fill="#f6efe0" />
		<path d="M-34 186 v-24 h50 v24Z" fill="#f6efe0" stroke={scene.ink} stroke-width="2" />
		<path d="M-18 162 v-{28 + 16 * lot(2)} h16 v{28 + 16 * lot(2)}Z" fill={scene.ink} />
		{#each [-46, -26, -6, 14] as port (port)}<circle
				cx={port}
				cy="202"
				r="5"
				fill={scene.sea}
			/>{/each}
		<path
			d="M-10 {128 - 14 * lot(2)} q-30 -22 -64 -10 q24 -30 70 -8Z"
			fill={scene.light}
			opacity="0.7"
		/>
	</g>
{:else if scene.motif === 'storm'}
	<g fill={scene.ink} opacity="0.9">
		<circle cx={x - 46} cy="96" r="36" /><circle cx={x} cy="76" r="46" /><circle
			cx={x + 52}
			cy="98"
			r="34"
		/>
		<rect x={x - 66} y="92" width="138" height="40" rx="20" />
	</g>
	<path d="M{x + 6} 128 l-26 52 h22 l-16 48 l48 -66 h-24 l20 -34Z" fill={scene.light} />
	<path
		d="M-10 300 Q40 {200 + 30 * lot(0)} 90 250 Q130 {190 +
			30 * lot(2)} 190 246 Q220 220 270 250 V350 H-10Z"
		fill={scene.far}
		opacity="0.85"
	/>
{:else if scene.motif === 'dog'}
	<g
		transform="translate({x} 0) scale({lean} 1)"
		fill={['#5b4130', '#2c2a28', '#b98a52', '#d9cdb8'][Math.floor(4 * lot(2))]}
	>
		<path
			d="M-66 290 Q-70 205 -20 200 L26 176 Q34 140 66 146 l30 20 q6 14 -8 18 l-30 6 Q46 240 52 290Z"
		/>
		<path d="M34 152 q-18 24 -4 48 q20 -8 18 -44Z" opacity="0.75" />
		<circle cx="64" cy="162" r="4.5" fill={scene.light} />
	</g>
	<rect y="288" width="250" height="20" fill={scene.ink} />
{:else if scene.motif === 'moth'}
	<g transform="translate({x} 168) rotate({30 * (lot(4) - 0.5)})">
		<path
			d="M0 0 Q-88 -84 -94 -8 Q-70 30 -6 14Z M0 0 Q88 -84 94 -8 Q70 30 6 14Z"
			fill={lot(0) < 0.5 ? '#c9a46a' : '#8fa08d'}
		/>
		<path d="M-4 10 Q-66 30 -48 72 Q-14 66 0 18 Q14 66 48 72 Q66 30 4 10Z" fill={scene.far} />
		<circle cx="-56" cy="-18" r="11" fill={scene.ink} /><circle
			cx="56"
			cy="-18"
			r="11"
			fill={scene.ink}
		/>
		<path
			d="M-5 -14 h10 l-2 62 h-6Z M-2 -14 q-12 -26 -26 -28 M2 -14 q12 -26 26 -28"
			fill={scene.ink}
			stroke={scene.ink}
			stroke-width="2.5"
		/>
	</g>
{:else}
	<rect y="250" width="250" height="60" fill={scene.ink} />
	{#each [10, 58, 106, 154, 202] as left, i (left)}
		<g transform="translate({left} {250 - 46 - 30 * lot(i)})">
			<rect
				width="40"
				height="90"
				fill={['#a33b2e', '#f6efe0', '#6f8f86', '#d3a14a'][(i + Math.floor(4 * lot(2))) % 4]}
			/>
			<path d="M-3 0 L20 -22 L43 0Z" fill={scene.ink} />
			<rect x="8" y="14" width="9" height="12" fill={scene.light} /><rect
				x="24"
				y="14"
				width="9"
				height="12"
				fill={scene.ink}
			/>
		</g>
	{/each}
{/if}

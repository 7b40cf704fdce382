<script lang="ts">
	import type { ParcelsView } from '$lib/server/selling/parcels/parcels-view';

	/** A parcel seen from the front right above, its boxes as they lie; the numbers are those of the steps. */
	let { parcel }: { parcel: ParcelsView['plans'][number]['parcels'][number] } = $props();
	/** Slanted view: depth is drawn at an angle, and shortened. */
	const [DX, DY] = [-0.42, 0.34];
	type Point = readonly [x: number, y: number];
	// x goes right, y comes to the front (down and to the left), z goes up.
	const at = (x: number, y: number, z: number): Point => [x + DX * y, DY * y - z];
	const path = (points: readonly Point[]) =>
		`M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
	/** The faces that are seen of a cuboid: top, front and right. */
	function faces(x: number, y: number, z: number, l: number, w: number, h: number) {
		return {
			top: path([
				at(x, y, z + h),
				at(x + l, y, z + h),
				at(x + l, y + w, z + h),
				at(x, y + w, z + h)
			]),
			front: path([
				at(x, y + w, z),
				at(x + l, y + w, z),
				at(x + l, y + w, z + h),
				at(x, y + w, z + h)
			]),
			right: path([
				at(x + l, y, z),
				at(x + l, y + w, z),
				at(x + l, y + w, z + h),
				at(x + l, y, z + h)
			])
		};
	}
	const whole = $derived(
		[0, parcel.lengthMm].flatMap((x) =>
			[0, parcel.widthMm].flatMap((y) => [0, parcel.heightMm].map((z) => at(x, y, z)))
		)
	);
	const [left, top, right, bottom] = $derived([
		Math.min(...whole.map(([x]) => x)) - 8,
		Math.min(...whole.map(([, y]) => y)) - 8,
		Math.max(...whole.map(([x]) => x)) + 8,
		Math.max(...whole.map(([, y]) => y)) + 8
	]);
	const boxes = $derived(
		parcel.drawn.flatMap((step) => parcel.steps.filter((each) => each.step === step))
	);
	/** Edges of the parcel: those behind first, those in front last and thin. */
	const behind = $derived([
		[at(0, 0, 0), at(parcel.lengthMm, 0, 0)],
		[at(0, 0, 0), at(0, parcel.widthMm, 0)],
		[at(0, 0, 0), at(0, 0, parcel.heightMm)]
	]);
	const rim = $derived(
		path([
			at(0, 0, parcel.heightMm),
			at(parcel.lengthMm, 0, parcel.heightMm),
			at(parcel.lengthMm, parcel.widthMm, parcel.heightMm),
			at(0, parcel.widthMm, parcel.heightMm)
		])
	);
	const shell = $derived(faces(0, 0, 0, parcel.lengthMm, parcel.widthMm, parcel.heightMm));
	const size = $derived(0.055 * (right - left));
</script>

<svg
	viewBox="{left} {top} {right - left} {bottom - top}"
	class="w-80 max-w-full"
	role="img"
	aria-label="{parcel.parcel} with {parcel.steps.length} boxes in it"
>
	{#each behind as [a, b], i (i)}
		<line
			x1={a?.[0]}
			y1={a?.[1]}
			x2={b?.[0]}
			y2={b?.[1]}
			class="stroke-base-content/50"
			stroke-width="1.5"
		/>
	{/each}
	{#each boxes as box (box.step)}
		{@const face = faces(box.xMm, box.yMm, box.zMm, box.alongMm, box.acrossMm, box.uprightMm)}
		{@const [x, y] = at(
			box.xMm + box.alongMm / 2,
			box.yMm + box.acrossMm / 2,
			box.zMm + box.uprightMm
		)}
		<g class="stroke-base-content" stroke-width="1.5" stroke-linejoin="round">
			<path d={face.right} class="fill-base-300" />
			<path d={face.front} class="fill-base-200" />
			<path d={face.top} class="fill-base-100" />
		</g>
		<text
			{x}
			{y}
			text-anchor="middle"
			dominant-baseline="central"
			class="fill-base-content font-semibold"
			font-size={size}>{box.step}</text
		>
	{/each}
	<g class="fill-none stroke-primary" stroke-width="2" stroke-linejoin="round">
		<path d={rim} />
		<path d={shell.front} stroke-dasharray="6 5" />
		<path d={shell.right} stroke-dasharray="6 5" />
	</g>
</svg>

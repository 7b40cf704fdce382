<script lang="ts">
	import { numberingsOf } from '$lib/core/checklist/numbering';
	import type { Release } from '$lib/core/checklist/release';
	import { wallFaces, wallTiles, type Wanted } from '$lib/core/goal/wall';
	import NumberWall from './NumberWall.svelte';
	import WallLegend from './WallLegend.svelte';

	interface Props {
		release: Release;
		owned: ReadonlyMap<string, number>;
		/** Only this numbering; null: all of them. */
		numberingKey?: string | null;
		parallelKey: string | null;
		/** Version keys that are needed; left out: all. */
		needed?: ReadonlySet<string>;
		pending?: ReadonlyMap<string, number>;
		change: (wanted: readonly Wanted[]) => void;
	}
	let {
		release,
		owned,
		numberingKey = null,
		parallelKey,
		needed,
		pending,
		change
	}: Props = $props();

	const faces = $derived(
		numberingsOf(release)
			.filter(({ key }) => numberingKey === null || key === numberingKey)
			.map((numbering) => ({
				key: numbering.key,
				name: numbering.name,
				subsets: release.sections
					.filter(({ numberedIn }) => numberedIn === numbering.key)
					.map(({ name }) => name),
				faces: wallFaces(release, numbering, parallelKey)
			}))
	);
	const walls = $derived(
		faces
			.map((wall) => ({ ...wall, tiles: wallTiles(wall.faces, owned, needed) }))
			.filter(({ tiles }) => tiles.some(({ state }) => state !== 'not-needed'))
	);
	const finishes = $derived(['base', ...release.parallels.map(({ name }) => name)]);
	const hasSubsets = $derived(release.sections.some(({ numberedIn }) => numberedIn !== undefined));
</script>

<WallLegend {finishes} subsets={hasSubsets} />
{#each walls as { key, name, subsets, tiles } (key)}
	<NumberWall {name} {subsets} {tiles} {change} {pending} />
{:else}
	<p class="quiet">No card of this section was made in this finish.</p>
{/each}

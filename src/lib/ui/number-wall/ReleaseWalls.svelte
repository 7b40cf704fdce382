<script lang="ts">
	import { numberingsOf } from '$lib/core/checklist/numbering';
	import type { Release } from '$lib/core/checklist/release';
	import {
		wallFinishes,
		wallFaces,
		wallTiles,
		type Holdings,
		type Wanted
	} from '$lib/core/goal/wall';
	import NumberWall from './NumberWall.svelte';
	import WallLegend from './WallLegend.svelte';

	interface Props {
		release: Release;
		holdings: Holdings;
		/** Only this numbering; null: all of them. */
		numberingKey?: string | null;
		parallelKey: string | null;
		pending?: ReadonlyMap<string, number>;
		/** Leaves out the cards that are not asked for. */
		onlyNeeded?: boolean;
		change: (wanted: readonly Wanted[]) => void;
	}
	let {
		release,
		holdings,
		numberingKey = null,
		parallelKey,
		pending,
		onlyNeeded = false,
		change
	}: Props = $props();

	const faces = $derived(
		numberingsOf(release)
			.filter(({ key }) => numberingKey === null || key === numberingKey)
			.flatMap((numbering) =>
				wallFinishes(release, numbering, parallelKey).map((finish) => ({
					key: `${numbering.key}~${finish?.key ?? ''}`,
					name: finish ? `${numbering.name} · ${finish.name}` : numbering.name,
					subsets: release.sections
						.filter(({ numberedIn }) => numberedIn === numbering.key)
						.map(({ name }) => name),
					faces: wallFaces(release, numbering, finish?.key ?? parallelKey)
				}))
			)
	);
	const walls = $derived(
		faces
			.map((wall) => ({
				...wall,
				tiles: wallTiles(wall.faces, holdings).filter((tile) => tile.isNeeded || !onlyNeeded)
			}))
			.filter(({ tiles }) => tiles.some(({ isNeeded }) => isNeeded))
	);
	const finishes = $derived(['base', ...release.parallels.map(({ name }) => name)]);
	const hasSubsets = $derived(release.sections.some(({ numberedIn }) => numberedIn !== undefined));
</script>

<WallLegend {finishes} subsets={hasSubsets} />
{#each walls as { key, name, subsets, tiles } (key)}
	<NumberWall {name} {subsets} {tiles} releaseKey={release.key} {change} {pending} />
{:else}
	<p class="quiet">No card of this section was made in this finish.</p>
{/each}

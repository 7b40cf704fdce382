<script lang="ts">
	import { resolve } from '$app/paths';
	import { isTooFull } from '$lib/core/storage/rows/is-too-full';
	import type { RoomShelf } from '$lib/server/storage/room/read-room';
	import { formatWeight } from '$lib/ui/numerals';
	import ShelfBox from './ShelfBox.svelte';

	/** Shelves of one unit, the highest first, and the longest shelf of the room: all in one scale. */
	let { shelves, longestMm }: { shelves: readonly RoomShelf[]; longestMm: number } = $props();
	const unitMm = $derived(Math.max(...shelves.map(({ lengthMm }) => lengthMm)));
	const about = ({ grams, ratingG, isOver, boards, tooLong, items }: RoomShelf) =>
		[
			ratingG === null
				? formatWeight(grams)
				: `${formatWeight(grams)} of ${formatWeight(ratingG)}${isOver ? ': too heavy' : ''}`,
			items.some(({ binderId }) => binderId !== null) && 'binders not weighed',
			boards > 0 && `${boards === 1 ? 'a board' : `${boards} boards`} between stacked boxes`,
			tooLong.length > 0 && `too long for it: ${tooLong.join(', ')}`
		]
			.filter(Boolean)
			.join(' · ');
</script>

<!-- On a phone the rack is wider than the screen, so that its boxes can be read. -->
<div class="mb-6 overflow-x-auto">
	<div class="min-w-3xl">
		<ol
			class="border-x-4 border-base-300"
			style:width="{(100 * unitMm) / longestMm}%"
			aria-label={shelves[0]?.unit}
		>
			{#each shelves as shelf (shelf.key)}
				<li class="px-1 pt-2">
					<ul
						class="relative"
						style:width="{(100 * shelf.lengthMm) / unitMm}%"
						style:aspect-ratio="{shelf.lengthMm} / {shelf.heightMm}"
						aria-label="Shelf {shelf.level}"
					>
						{#each shelf.items as item (item.key)}
							<li
								class="absolute"
								style:left="{(100 * item.leftMm) / shelf.lengthMm}%"
								style:bottom="{(100 * item.bottomMm) / shelf.heightMm}%"
								style:width="{(100 * item.lengthMm) / shelf.lengthMm}%"
								style:height="{(100 * item.heightMm) / shelf.heightMm}%"
							>
								{#if item.box}
									{@const { id, name, fill, cards } = item.box}
									<ShelfBox {id} {name} {fill} {cards} isFull={isTooFull(item.box)} />
								{:else if item.binderId !== null}
									<a
										class="flex size-full items-center justify-center overflow-hidden rounded-sm bg-primary text-xs text-primary-content hover:bg-primary/85"
										href={resolve('/binders/[binder=id]', { binder: String(item.binderId) })}
										title="Binder {item.name}"
										aria-label="Binder {item.name}"
										><span class="truncate [writing-mode:vertical-rl]">{item.name}</span></a
									>
								{/if}
							</li>
						{/each}
					</ul>
					<p
						class={[
							'border-t-4 py-1 text-sm',
							shelf.isOver ? 'border-error text-error' : 'border-base-300 quiet'
						]}
					>
						<span class="font-semibold">Shelf {shelf.level}</span> · {about(shelf)}
					</p>
				</li>
			{/each}
		</ol>
	</div>
</div>

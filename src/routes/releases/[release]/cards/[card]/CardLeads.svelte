<script lang="ts">
	import { resolve } from '$app/paths';
	import { formatCount } from '$lib/ui/numerals';

	interface Props {
		release: string;
		card: { readonly key: string; readonly subjects: readonly string[] };
		leads: {
			readonly sisters: readonly {
				readonly key: string;
				readonly releaseKey: string;
				readonly cardKey: string;
				readonly card: string;
				readonly release: string;
			}[];
			readonly graded: number;
			readonly next: readonly {
				readonly id: number;
				readonly goal: string;
				readonly name: string;
				readonly left: number;
				readonly text: string;
			}[];
		};
	}
	/** Where research goes on from a card: sister issue, population, the same subject elsewhere, what next. */
	let { release, card, leads }: Props = $props();
	const MOST_LETTERS = 40;
	const cut = (text: string) =>
		text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS - 1)}…` : text;
	const version = $derived(`${release}/${card.key}`);
</script>

<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
<p class="mt-1">
	What it is worth: <a
		class="prose-link"
		href="{resolve('/worth')}?{new URLSearchParams({ release, card: version })}"
		>on the grade ladder</a
	>{#if leads.graded > 0}, <a
			class="prose-link"
			href="{resolve('/worth/populations')}?{new URLSearchParams({ release, against: version })}"
			>{formatCount(leads.graded)} graded</a
		>{/if}{#each card.subjects as subject (subject)}, <a
			class="prose-link"
			href="{resolve('/worth/subject')}?{new URLSearchParams({ subject })}"
			>{subject} over all issues</a
		>{/each}
</p>
<!-- eslint-enable svelte/no-navigation-without-resolve -->
{#if leads.sisters.length > 0}
	<p class="mt-1">
		Its sister: {#each leads.sisters as sister, i (sister.key)}{i > 0 ? ', ' : ''}<a
				class="prose-link"
				href={resolve('/releases/[release]/cards/[card]', {
					release: sister.releaseKey,
					card: sister.cardKey
				})}>{sister.card}, {sister.release}</a
			>{/each}
	</p>
{/if}
{#if leads.next.length > 0}
	<p class="mt-1">
		What next: {#each leads.next as next, i (next.id)}{i > 0 ? '; ' : ''}<a
				class="prose-link"
				href={resolve('/goals/[goal=id]', { goal: `${next.id}` })}>{next.goal}</a
			>
			lacks {next.name}
			{cut(next.text)}{/each}
	</p>
{/if}

<script lang="ts">
	import { resolve } from '$app/paths';
	import CountCells from '$lib/ui/CountCells.svelte';
	import { formatCount } from '$lib/ui/numerals';

	let { data } = $props();
	const isSubject = $derived(data.ways[data.at] === 'subject');
</script>

<svelte:head><title>{data.year} · Jade Binder</title></svelte:head>

<p class="mt-4 mb-1 quiet"><a class="prose-link" href={resolve('/releases')}>Releases</a></p>
<h1 class="mb-2">The releases of {data.year}</h1>
{#if data.rows.length === 0}
	<p class="quiet">No card of a release of {data.year} bears a group, a subject or a tag.</p>
{:else}
	<p class="mb-4 quiet">
		Who is in which, and absent elsewhere. Editions are left out: they repeat.
	</p>
	<nav aria-label="Count by" class="mb-3 flex flex-wrap gap-1">
		{#each data.ways as way, i (i)}
			<a
				class={['btn btn-sm', i === data.at ? 'btn-primary' : 'btn-ghost']}
				aria-current={i === data.at ? 'page' : undefined}
				href={resolve(`/releases/year/${data.year}?by=${i}`)}>By {way}</a
			>
		{/each}
	</nav>
	<div class="overflow-x-auto">
		<table class="table w-auto table-sm">
			<thead>
				<tr>
					<th class="first-letter:uppercase">{data.ways[data.at]}</th>
					{#each data.releases as { key, name } (key)}
						<th class="text-right"
							><a class="prose-link" href={resolve('/releases/[release]', { release: key })}
								>{name}</a
							></th
						>
					{/each}
					<th class="text-right">In all</th>
				</tr>
			</thead>
			<tbody>
				{#each data.rows as { word, counts, total } (word)}
					<tr>
						<th scope="row"
							>{#if isSubject}<a
									class="prose-link"
									href={resolve('/releases/subjects/[subject]', {
										subject: encodeURIComponent(word)
									})}>{word}</a
								>{:else}{word}{/if}</th
						>
						<CountCells {counts} {total} none="absent" />
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if data.more > 0}<p class="mt-2 quiet">and {formatCount(data.more)} more</p>{/if}
{/if}

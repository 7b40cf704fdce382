<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const copies = (value: number) => (value >= 100 ? value.toFixed(0) : value.toFixed(1));
	const percent = (chance: number) =>
		`${(100 * chance).toFixed(chance > 0 && chance < 0.1 ? 1 : 0)} %`;
	const nearest = $derived(
		data.tiles?.nearest ? (data.rows?.[data.tiles.nearest.card] ?? null) : null
	);
</script>

<svelte:head><title>Hidden tiles · Jade Binder</title></svelte:head>

<h1 class="mb-2">Hidden tiles</h1>
<ProblemAlert problems={form?.problems} class="mb-3" />
{#if !data.release}
	<p class="max-w-2xl text-lg">
		No release here has cards that hide tiles. Where one does, its tiles are recorded among the
		variants of the <a class="prose-link" href={resolve('/releases')}>release</a>, as pieces, with
		the prize that a full set earns.
	</p>
{:else}
	{@const { tiles } = data}
	{#if data.releases.length > 1}
		<AskForm path={resolve('/packs/tiles')} class="mb-4">
			<Field label="Release">
				<select name="release" class="select w-64 max-w-full select-sm" value={data.release.key}>
					{#each data.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
		</AskForm>
	{:else}
		<p class="mb-2 quiet">{data.release.name}</p>
	{/if}
	<section class="mb-4 max-w-4xl" aria-label="How many to open" data-testid="tiles-verdict">
		<p class="font-serif text-2xl">
			{#if nearest && tiles.nearest}
				For one prize open {nearest.name}: about {copies(tiles.nearest.copies)} more copies of it.
			{:else}
				Every card has its full set.
			{/if}
		</p>
		<dl class="mt-2 flex flex-wrap gap-x-8 gap-y-1">
			<div>
				<dt class="text-sm quiet">A prize from the copies at hand</dt>
				<dd class="text-lg estimate">{percent(tiles.chanceOfPrize)}</dd>
			</div>
			<div>
				<dt class="text-sm quiet">All prizes, copies chosen</dt>
				<dd class="text-lg estimate">{copies(tiles.chosen.all)} copies</dd>
			</div>
			<div>
				<dt class="text-sm quiet">The first prize, copies at random</dt>
				<dd class="text-lg estimate">{copies(tiles.random.first)}</dd>
			</div>
			<div>
				<dt class="text-sm quiet">All prizes, copies at random</dt>
				<dd class="text-lg estimate">{copies(tiles.random.all)}</dd>
			</div>
		</dl>
		<p class="mt-1 text-sm quiet">
			On average, each tile as likely as the others. What a further full set needs is dashed. A
			regular copy counts as unopened, unless it is marked as opened.
		</p>
	</section>
	<div class="overflow-x-auto">
		<table class="table w-auto table-sm" data-testid="tiles">
			<thead>
				<tr>
					<th scope="col">Card</th>
					<th scope="col">Tiles</th>
					<th scope="col" class="text-right">Full sets</th>
					<th scope="col" class="text-right">Unopened</th>
					<th scope="col" class="text-right">They fill it</th>
					<th scope="col" class="text-right">Copies to open</th>
					<th scope="col">Open one</th>
				</tr>
			</thead>
			<tbody>
				{#each data.rows as row, i (row.cardKey)}
					<tr>
						<th scope="row" class="font-normal">
							<a
								class="text-base prose-link"
								href={resolve('/releases/[release]/cards/[card]', {
									release: data.release.key,
									card: row.cardKey
								})}>{row.name}</a
							>
							{#if row.prize}<span class="block text-sm quiet">earns {row.prize}</span>{/if}
						</th>
						<td>
							<span class="flex gap-1">
								{#each row.tiles as { key, name, owned, isMissing } (key)}
									<span
										class={[
											'grid size-7 place-items-center border text-sm',
											isMissing
												? 'border-dashed border-base-content/40 quiet'
												: 'border-primary bg-primary/15'
										]}
										title="{name}: {countOf(owned, 'copy', 'copies')}"
										><span aria-hidden="true">{owned > 0 ? owned : ''}</span><span class="sr-only"
											>{name}: {owned}</span
										></span
									>
								{/each}
							</span>
						</td>
						<td class="text-right">{row.fullSets}</td>
						<td class="text-right">{row.unopened}</td>
						<td class="text-right estimate">{percent(tiles.cards[i]?.chance ?? 0)}</td>
						<td class="text-right estimate">{copies(tiles.cards[i]?.copies ?? 0)}</td>
						<td>
							{#if row.copyId !== null}
								<form method="POST" action="?/open" use:enhance class="flex items-center gap-2">
									<input type="hidden" name="copy" value={row.copyId} />
									<select
										name="tile"
										class="select w-40 select-sm"
										aria-label="What was in {row.name}"
									>
										{#each row.tiles as { key, name } (key)}<option value={key}>{name}</option
											>{/each}
										<option value="">the tile was gone</option>
									</select>
									<button class="btn btn-sm">Was in it</button>
								</form>
							{/if}
						</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}

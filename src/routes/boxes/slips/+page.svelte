<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { countOf, formatMoment } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data, form } = $props();
	const ofSort = (sort: string) => (form && 'problems' in form && form.sort === sort ? form : null);
</script>

<svelte:head><title>Slips · Jade Binder</title></svelte:head>

{#snippet line(label: string)}
	<Field label="Release">
		<ReleaseSelect name="release" class="w-56 select-sm" />
	</Field>
	<Field {label} class="min-w-48 flex-1">
		<input
			class="input w-full input-sm"
			name="line"
			maxlength="20000"
			placeholder="112 118 7 20–31"
			autocomplete="off"
			required
		/>
	</Field>
{/snippet}

<div class="mb-4 flex flex-wrap items-baseline gap-x-4">
	<h1>Slips</h1>
	<a class="prose-link" href={resolve('/take-along')}>Take along</a>
</div>
{#if data.slips.length > 0}
	<ul class="mb-8 max-w-3xl">
		{#each data.slips as { id, sort, name, createdAt, lines, open, skipped } (id)}
			<li class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-2">
				<a
					class="min-w-48 flex-1 text-lg prose-link"
					href={resolve('/boxes/slips/[slip=id]', { slip: String(id) })}>{name}</a
				>
				<span class="quiet"
					>{sort}, {formatMoment(createdAt)} · {open + skipped === 0
						? 'done'
						: `${open + skipped} of ${countOf(lines, 'line')} open`}</span
				>
				<form method="POST" action="?/remove" use:enhance>
					<input type="hidden" name="slip" value={id} />
					<button class="btn btn-ghost btn-sm" aria-label="Throw away {name}">Throw away</button>
				</form>
			</li>
		{/each}
	</ul>
{/if}

<section class="mb-8 max-w-3xl" aria-labelledby="put">
	<h2 id="put" class="mb-2">Put away</h2>
	<ProblemAlert problems={ofSort('put away')?.problems} class="mb-3" />
	<form method="POST" action="?/make" use:enhance class="mb-4 flex flex-wrap items-center gap-3">
		<input type="hidden" name="sort" value="put away" />
		<input type="hidden" name="of" value="homeless" />
		<button class="btn btn-primary btn-sm">Everything without a place</button>
		<span class="quiet">logged cards that lie in no binder and stand in no box</span>
	</form>
	<form method="POST" action="?/make" use:enhance class="flex flex-wrap items-end gap-3">
		<input type="hidden" name="sort" value="put away" /><input
			type="hidden"
			name="of"
			value="line"
		/>
		{@render line('Numbers as they lie in the hand')}
		<button class="btn btn-sm">Make slip</button>
	</form>
</section>

<section class="mb-8 max-w-3xl" aria-labelledby="pull">
	<h2 id="pull" class="mb-2">Pull</h2>
	<ProblemAlert problems={ofSort('pull')?.problems} class="mb-3" />
	<form method="POST" action="?/make" use:enhance class="mb-4 flex flex-wrap items-end gap-3">
		<input type="hidden" name="sort" value="pull" /><input type="hidden" name="of" value="line" />
		<Field label="For">
			<input
				class="input w-44 input-sm"
				name="name"
				maxlength="80"
				placeholder="a friend, a regrade"
			/>
		</Field>
		{@render line('Numbers wanted')}
		<button class="btn btn-sm">Make pull list</button>
	</form>
	<div class="flex flex-wrap items-end gap-6">
		<form method="POST" action="?/make" use:enhance>
			<input type="hidden" name="sort" value="pull" /><input
				type="hidden"
				name="of"
				value="to sell"
			/>
			<input type="hidden" name="name" value="For sale" />
			<button class="btn btn-sm">Everything that is to sell</button>
		</form>
		<form method="POST" action="?/make" use:enhance>
			<input type="hidden" name="sort" value="pull" /><input
				type="hidden"
				name="of"
				value="misplaced"
			/>
			<input type="hidden" name="name" value="Kept elsewhere now" />
			<button
				class="btn btn-sm"
				title="Cards whose storage class or value tier has another box than the one they stand in"
				>What belongs in another box</button
			>
		</form>
		{#if data.binders.length > 0}
			<form method="POST" action="?/make" use:enhance class="flex items-end gap-2">
				<input type="hidden" name="sort" value="pull" /><input
					type="hidden"
					name="of"
					value="binder"
				/>
				<input type="hidden" name="name" value="For a binder" />
				<Field label="What a binder is to have, upgrades too">
					<select class="select w-64 select-sm" name="binder">
						{#each data.binders as { id, name } (id)}<option value={String(id)}>{name}</option
							>{/each}
					</select>
				</Field>
				<button class="btn btn-sm">Make pull list</button>
			</form>
		{/if}
	</div>
	<p class="mt-3 text-sm quiet">
		Of equal cards that what is to sell, and spares, come before what is kept.
	</p>
</section>

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import FinishForm from './FinishForm.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Palette · Jade Binder</title></svelte:head>

<p class="mt-4"><a class="prose-link" href={resolve('/releases')}>Releases</a></p>
<h1>Palette</h1>
<p class="mb-6 max-w-2xl quiet">
	Finishes that several releases share, entered once: what they look like, how to tell them, where
	alone they come from. Each release has its own print runs of them. A change here reaches every
	release that says the same; what a release says otherwise stays.
</p>
<ProblemAlert problems={form?.problems} class="mb-4" />

{#if data.shared.length > 0}
	<section class="mb-8" aria-labelledby="shared">
		<h2 id="shared" class="mb-2 text-lg">In several releases, and not entered here yet</h2>
		<ul class="flex flex-wrap gap-2">
			{#each data.shared.slice(0, 24) as { name, releases } (name)}
				<li>
					<form method="POST" action="?/share" use:enhance>
						<button class="btn btn-sm" name="name" value={name}
							>{name}
							<span class="font-normal quiet">{countOf(releases.length, 'release')}</span></button
						>
					</form>
				</li>
			{/each}
		</ul>
	</section>
{/if}

<ul class="mb-8">
	{#each data.palette as { finish, uses } (finish.key)}
		<li class="border-t border-base-300 py-3">
			<div class="flex flex-wrap items-baseline gap-x-4">
				<h2 class="text-xl">{finish.name}</h2>
				<p class="min-w-0 quiet">
					{[finish.look, finish.howToTell, finish.channel && `only in ${finish.channel}`]
						.filter(Boolean)
						.join(' · ')}
				</p>
			</div>
			<p class="mt-1">
				{#each uses as use, i (`${use.release} ${use.parallel}`)}{i > 0 ? ', ' : ''}<a
						class="prose-link"
						href={resolve('/releases/[release]', { release: use.release })}>{use.releaseName}</a
					>{use.name === finish.name ? '' : ` as ${use.name}`}{use.runs.length > 0
						? ` /${use.runs.map(formatCount).join(', /')}`
						: ''}{/each}
				{#if uses.length === 0}<span class="quiet"
						>In no release yet: Edit, Parallels, “From the palette”.</span
					>{/if}
			</p>
			<details class="mt-1">
				<summary class="cursor-pointer text-sm quiet">Change</summary>
				<div class="mt-2 flex flex-col items-start gap-2">
					<FinishForm {finish} submit="Save for all" />
					<form method="POST" action="?/remove" use:enhance>
						<button
							class="btn btn-ghost text-error btn-sm"
							name="key"
							value={finish.key}
							title="The releases keep their finishes as they are. Undo brings it back."
							>Take {finish.name} out of the palette</button
						>
					</form>
				</div>
			</details>
		</li>
	{/each}
</ul>

<section aria-labelledby="new">
	<h2 id="new" class="mb-2 text-lg">A new finish</h2>
	<FinishForm submit="Add" />
</section>

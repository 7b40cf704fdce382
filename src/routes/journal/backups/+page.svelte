<script lang="ts">
	import { resolve } from '$app/paths';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import Field from '$lib/ui/Field.svelte';
	import { formatMoment } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import BackupLook from './BackupLook.svelte';

	let { data, form } = $props();
	const said = (part: string) => answerOf(form, part);
	const size = (bytes: number) => `${(bytes / 1_000_000).toFixed(1)} MB`;
	let isMaking = $state(false);
</script>

<svelte:head><title>Backups · Jade Binder</title></svelte:head>

<h1 class="mb-2">Backups</h1>
{#if data.folder === null}
	<p class="max-w-2xl">
		This collection is kept by a database server elsewhere: back it up there. All of it can be taken
		out as open files, release by release and as a list of holdings.
	</p>
{:else}
	<p class="mb-4 max-w-2xl quiet">
		A backup is the whole collection in one file, photos too, made while you go on and read again
		from end to end. Copy some of them to another disk now and then: they lie in
		<code class="wrap-anywhere">{data.folder}</code>. To copy the file of a running collection is no
		backup.
	</p>
	<form
		method="POST"
		action="?/make"
		class="mb-2"
		use:enhance={() => {
			isMaking = true;
			return async ({ update }) => {
				await update();
				isMaking = false;
			};
		}}
	>
		<button class="btn btn-primary" disabled={isMaking}
			>{isMaking ? 'Making it …' : 'Back up now'}</button
		>
	</form>
	<p role="status" class="mb-3 text-sm text-primary">
		{said('make').told || said('restore').told || said('bring').told}
	</p>
	<ProblemAlert problems={said('make').problems ?? said('restore').problems} />
	{#if data.look}
		<BackupLook look={data.look} />
	{/if}
	<ul class="mb-6 max-w-3xl divide-y divide-base-300">
		{#each data.backups as { file, at, reason, bytes } (file)}
			<li class="flex flex-wrap items-baseline gap-x-5 gap-y-1 py-2" data-testid="backup">
				<time class="w-44 shrink-0 text-sm" datetime={at}>{formatMoment(at)}</time>
				<span class="min-w-0 flex-1 basis-40 quiet">{reason}</span>
				<span class="w-20 text-right tabular-nums">{size(bytes)}</span>
				<a
					class="link"
					href={resolve('/api/backups/[file]', { file })}
					download
					aria-label="Download the backup of {formatMoment(at)}">Download</a
				>
				<a
					class="link"
					href={resolve(`/journal/backups?look=${encodeURIComponent(file)}`)}
					aria-label="Look at the backup of {formatMoment(at)}">Look, restore</a
				>
			</li>
		{:else}
			<li class="py-3 quiet">There is no backup yet.</li>
		{/each}
	</ul>
	<div class="grid max-w-3xl gap-6 lg:grid-cols-2">
		<form method="POST" action="?/rules" use:enhance>
			<h2 class="font-serif text-lg">By itself</h2>
			<div class="flex flex-wrap items-end gap-3">
				<Field label="Every so many days">
					<input
						name="everyDays"
						type="number"
						min="0"
						max="90"
						required
						class="input w-24 input-sm"
						value={data.rules.everyDays}
					/>
				</Field>
				<Field label="Keep the last">
					<input
						name="keep"
						type="number"
						min="1"
						max="100"
						required
						class="input w-24 input-sm"
						value={data.rules.keep}
					/>
				</Field>
				<button class="btn btn-sm">Keep</button>
			</div>
			<p class="mt-1 text-sm quiet">
				0: never. Nothing done since, none is made. One is made before each update and before
				restoring, too.
			</p>
			<p role="status" class="text-sm text-primary">{said('rules').told}</p>
			<ProblemAlert problems={said('rules').problems} />
		</form>
		<form method="POST" action="?/bring" enctype="multipart/form-data" use:enhance>
			<h2 class="font-serif text-lg">From another disk</h2>
			<Field label="A backup">
				<input type="file" name="file" required class="file-input w-64 max-w-full file-input-sm" />
			</Field>
			<button class="btn mt-2 btn-sm">Bring it in</button>
			<p class="mt-1 text-sm quiet">
				It comes into the list and changes nothing yet. One of more than 64 MB is put into the
				folder by hand.
			</p>
			<ProblemAlert problems={said('bring').problems} />
		</form>
	</div>
{/if}

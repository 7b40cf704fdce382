<script lang="ts">
	import { resolve } from '$app/paths';
	import { ROLES } from '$lib/schemas/role';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { answerOf } from '$lib/ui/form-answer';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const MEANINGS = {
		owner: 'sees and changes everything',
		viewer: 'sees everything but this page and the backups, and changes nothing'
	} as const;
	const isGuarded = $derived(data.guarded.includes('owner'));
	const said = (part: string) => answerOf(form, part);
</script>

<svelte:head><title>Access · Jade Binder</title></svelte:head>

<h1 class="mb-2">Access</h1>
<p class="mb-4 max-w-2xl quiet">
	{#if isGuarded}
		Whoever opens this collection gives a passphrase; a browser is known for thirty days after it
		was here last.
	{:else}
		Nobody needs a passphrase: this server is reached from this machine alone ({data.host}). Set one
		before you let others reach it, by HOST or through a proxy.
	{/if}
</p>
<p role="status" class="mb-3 text-sm text-primary">{said('set').told || said('end').told}</p>
<ProblemAlert problems={said('set').problems} />
<ul class="mb-6 max-w-3xl divide-y divide-base-300">
	{#each ROLES as role (role)}
		{@const isSet = data.guarded.includes(role)}
		<li class="py-3">
			<h2 class="font-serif text-lg first-letter:uppercase">
				{role}
				<span class="text-sm quiet">{MEANINGS[role]}</span>
			</h2>
			<div class="flex flex-wrap items-end gap-3">
				<form method="POST" action="?/set" use:enhance class="flex flex-wrap items-end gap-3">
					<input type="hidden" name="role" value={role} />
					<Field label="{isSet ? 'New passphrase' : 'Passphrase'} of the {role}">
						<input
							name="passphrase"
							type="password"
							class="input w-72 max-w-full input-sm"
							autocomplete="new-password"
							minlength="8"
							maxlength="200"
							required
						/>
					</Field>
					<button class="btn btn-sm">{isSet ? 'Change' : 'Set'} the {role}’s</button>
				</form>
				{#if isSet}
					<form method="POST" action="?/remove" use:enhance>
						<input type="hidden" name="role" value={role} />
						<button class="btn btn-ghost btn-sm"
							>{role === 'owner' ? 'Ask nobody any more' : 'No viewer any more'}</button
						>
					</form>
				{/if}
			</div>
		</li>
	{/each}
</ul>
{#if isGuarded}
	<div class="mb-6 flex flex-wrap gap-3">
		<form method="POST" action={resolve('/sign-out')}>
			<button class="btn btn-sm">Sign out</button>
		</form>
		<form method="POST" action="?/end" use:enhance>
			<button class="btn btn-sm">Sign out all other browsers</button>
		</form>
	</div>
{/if}
<p class="max-w-2xl text-sm quiet">
	A friend who shall see only what you look for gets a link: it is made, and withdrawn, at
	<a class="link" href={resolve('/buying/wants')}>Wants</a>. Over a network that you do not trust
	put a proxy with TLS before this server (JADE_PROTOCOL=https); else a passphrase can be read on
	its way.
</p>

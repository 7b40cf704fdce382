<script lang="ts">
	import { resolve } from '$app/paths';
</script>

<div class="mb-3 flex flex-wrap items-center gap-x-3 gap-y-1 text-sm print:hidden">
	<span class="quiet">You look at this collection as a viewer: nothing is changed by it.</span>
	<form method="POST" action={resolve('/sign-out')}>
		<button class="btn btn-sm">Sign out</button>
	</form>
</div>

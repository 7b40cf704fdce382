import type { Role } from '$lib/schemas/role';

declare global {
	namespace App {
		interface Locals {
			/** Who asks; null: nobody who is known here. */
			role: Role | null;
		}
	}
}

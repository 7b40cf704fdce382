import { defineConfig } from 'drizzle-kit';

export default defineConfig({
	dialect: 'turso',
	schema: './src/lib/server/database/tables',
	out: './drizzle',
	casing: 'snake_case',
	dbCredentials: { url: process.env.DATABASE_URL ?? 'file:data/jade.db' }
});

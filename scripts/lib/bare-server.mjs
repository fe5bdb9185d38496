import { createRequire } from 'node:module';
import { join } from 'node:path';
import { SERVER_ENTRY } from './build.mjs';

// The packages of the server, which this folder has none of.
const require = createRequire(SERVER_ENTRY);
const express = require('express');
const SQLite = require('better-sqlite3');

/**
 * The least that keeps edits as safely: one route, one document, one transaction; nothing is looked at. What ours is measured beside.
 * @param {{ folder: string, body: object }} options
 * @returns {Promise<{ url: string, stop: () => Promise<void> }>}
 */
export async function startBareServer({ folder, body }) {
  const db = new SQLite(join(folder, 'bare.sqlite'));
  db.pragma('journal_mode = WAL');
  db.exec(`create table documents (id text primary key, body text not null, revision integer not null);
    create table edits (document text, revision integer, edit text not null, primary key (document, revision))`);
  db.prepare('insert into documents values (?, ?, 0)').run('one', JSON.stringify(body));
  const find = db.prepare('select body, revision from documents where id = ?');
  const write = db.prepare('update documents set body = ?, revision = ? where id = ?');
  const log = db.prepare('insert into edits values (?, ?, ?)');
  const edit = db.transaction((id, patch) => {
    const stored = find.get(id);
    const next = JSON.parse(stored.body);
    for (const { path, value } of patch) next[path.slice(1)] = value;
    const revision = stored.revision + 1;
    write.run(JSON.stringify(next), revision, id);
    log.run(id, revision, JSON.stringify(patch));
    return { id, revision, body: next };
  });
  const app = express();
  app.use(express.json());
  app.patch('/:id', (request, response) =>
    response.json(edit.immediate(request.params.id, request.body.patch)),
  );
  const server = await new Promise((done) => {
    const listening = app.listen(0, '127.0.0.1', () => done(listening));
  });
  return {
    url: `http://127.0.0.1:${server.address().port}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      db.close();
    },
  };
}

-- A library of recordings, as a program on somebody's own machine keeps it
PRAGMA foreign_keys=ON;
CREATE TABLE artist (
  id INTEGER PRIMARY KEY,
  name TEXT NOT NULL COLLATE NOCASE,
  link TEXT NOT NULL DEFAULT "",
  mood TEXT DEFAULT "calm",
  cover BLOB DEFAULT x'',
  UNIQUE (name)
);
CREATE TABLE recording (
  id INTEGER PRIMARY KEY AUTOINCREMENT,
  artist INTEGER REFERENCES artist,
  title,
  made DATETIME DEFAULT (datetime('now')),
  length DOUBLE DEFAULT 0.0
);
CREATE VIRTUAL TABLE found_text USING fts5(title, content='recording', content_rowid='id');
CREATE INDEX by_title ON recording (title COLLATE NOCASE, made DESC);
CREATE UNIQUE INDEX one_title ON recording (artist, title COLLATE RTRIM DESC) WHERE title IS NOT NULL;

package dev.lonja.store.exchange;

import java.util.Map;

/** A row of a CSV file: its line, and its cells by column, as written. */
record CheckedRow(long line, Map<String, String> cells) {}

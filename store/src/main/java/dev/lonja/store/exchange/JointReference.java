package dev.lonja.store.exchange;

import java.util.List;

/**
 * Columns that name a row of another table together, such as an item and one of its lots.
 *
 * @param columns here
 * @param table whose row is named
 * @param keys the columns there, in the same order
 */
record JointReference(List<String> columns, String table, List<String> keys) {}

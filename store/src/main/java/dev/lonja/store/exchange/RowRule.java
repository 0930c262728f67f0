package dev.lonja.store.exchange;

import java.util.Map;
import java.util.function.Predicate;

/**
 * What must hold between the cells of one row.
 *
 * @param column the column that is named if it does not
 * @param holds on the row's cells as written
 */
record RowRule(String column, String allowed, Predicate<Map<String, String>> holds) {}

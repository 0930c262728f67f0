/**
 * Grades of fluids against temperatures: charts, tables of the standards, the year of a store.
 * Start with {@link dev.lonja.core.grade.GradeChart}. Knows no product and no spec.
 */
@NullMarked
package dev.lonja.core.grade;

import org.jspecify.annotations.NullMarked;

/**
 * Pages, paper and JSON over HTTP: controllers, wording, view records, drawings, templates, styles.
 * A room for each thing as a person meets it. Holds no rules, no permissions.
 */
@NullMarked
package dev.lonja.web;

import org.jspecify.annotations.NullMarked;

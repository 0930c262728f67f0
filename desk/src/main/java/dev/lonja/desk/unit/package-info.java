/**
 * What a person may note of one machine: what it is, how it differs from its variant, and tables of
 * machines that come in together.
 */
@NullMarked
package dev.lonja.desk.unit;

import org.jspecify.annotations.NullMarked;

/**
 * What compartments demand of fluids, the matrix of verdicts, the temperature year. Start with
 * {@link dev.lonja.web.spec.SpecController}.
 */
@NullMarked
package dev.lonja.web.spec;

import org.jspecify.annotations.NullMarked;

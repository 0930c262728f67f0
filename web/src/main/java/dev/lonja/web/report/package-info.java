/**
 * What was done for a job that is back: the completion report on paper, as text and as JSON. Start
 * with {@link dev.lonja.web.report.CompletionController}.
 */
@NullMarked
package dev.lonja.web.report;

import org.jspecify.annotations.NullMarked;

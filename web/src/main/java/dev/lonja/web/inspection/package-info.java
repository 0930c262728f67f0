/**
 * What inspections find: asked for in a form, said in words, drawn over a machine's life. Start
 * with {@link dev.lonja.web.inspection.FoundEntry}.
 */
@NullMarked
package dev.lonja.web.inspection;

import org.jspecify.annotations.NullMarked;

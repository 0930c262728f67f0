/**
 * What happened beside requests that change something, and the page of who did what. Start with
 * {@link dev.lonja.desk.audit.Trail}.
 */
@NullMarked
package dev.lonja.desk.audit;

import org.jspecify.annotations.NullMarked;

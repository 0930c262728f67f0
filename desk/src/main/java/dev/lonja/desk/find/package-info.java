/** Answers whatever is typed or scanned. Start with {@link dev.lonja.desk.find.FindDesk}. */
@NullMarked
package dev.lonja.desk.find;

import org.jspecify.annotations.NullMarked;

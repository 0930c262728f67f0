/** What labels say. Start with {@link dev.lonja.desk.label.LabelDesk}. */
@NullMarked
package dev.lonja.desk.label;

import org.jspecify.annotations.NullMarked;

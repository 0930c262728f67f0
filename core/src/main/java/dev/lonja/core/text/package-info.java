/**
 * Text as people type it, without what cannot be seen. Start with {@link
 * dev.lonja.core.text.PlainText}.
 */
@NullMarked
package dev.lonja.core.text;

import org.jspecify.annotations.NullMarked;

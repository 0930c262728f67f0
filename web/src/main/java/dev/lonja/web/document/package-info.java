/**
 * Paper: print-ready PDF documents made from templates under {@code templates/paper}. Start with
 * {@link dev.lonja.web.document.PdfRenderer}. Features bring their own data; nothing here knows
 * them.
 */
@NullMarked
package dev.lonja.web.document;

import org.jspecify.annotations.NullMarked;

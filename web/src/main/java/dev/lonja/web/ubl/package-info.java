/**
 * Orders and what suppliers say of them as UBL 2.1 documents (OASIS, ISO/IEC 19845). Start with
 * {@link dev.lonja.web.ubl.UblOrder}.
 */
@NullMarked
package dev.lonja.web.ubl;

import org.jspecify.annotations.NullMarked;

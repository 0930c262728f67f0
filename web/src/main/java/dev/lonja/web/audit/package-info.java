/** Who did what, as a page and as lines of JSON. Start with the controller. */
@NullMarked
package dev.lonja.web.audit;

import org.jspecify.annotations.NullMarked;

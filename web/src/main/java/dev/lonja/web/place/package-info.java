/** Pages of where things lie. */
@NullMarked
package dev.lonja.web.place;

import org.jspecify.annotations.NullMarked;

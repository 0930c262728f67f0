/**
 * Unit classes: their year, their calendar feed. Start with {@link
 * dev.lonja.web.unitclass.ClassController}.
 */
@NullMarked
package dev.lonja.web.unitclass;

import org.jspecify.annotations.NullMarked;

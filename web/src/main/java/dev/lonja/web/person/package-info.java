/** The people of the store under Setup, and what each does about themselves. */
@NullMarked
package dev.lonja.web.person;

import org.jspecify.annotations.NullMarked;

/** Who may ask for what. Start with {@link dev.lonja.desk.person.Allowed}. */
@NullMarked
package dev.lonja.desk.person;

import org.jspecify.annotations.NullMarked;

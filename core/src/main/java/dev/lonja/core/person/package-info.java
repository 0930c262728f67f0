/**
 * Who may do what: names as they are compared, roles, how long a session lasts, what a password and
 * a PIN must be. Start with {@link dev.lonja.core.person.Role}.
 */
@NullMarked
package dev.lonja.core.person;

import org.jspecify.annotations.NullMarked;

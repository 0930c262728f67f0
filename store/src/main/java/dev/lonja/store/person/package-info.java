/** People who may sign in. Start with {@link dev.lonja.store.person.PersonRepository}. */
@NullMarked
package dev.lonja.store.person;

import org.jspecify.annotations.NullMarked;

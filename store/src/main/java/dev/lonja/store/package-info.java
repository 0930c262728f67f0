/**
 * The store's data in one SQLite file. Start with {@link dev.lonja.store.LonjaStore}: it opens the
 * file, brings its schema up to date and hands out a {@link dev.lonja.store.Session} for reading or
 * for one transaction of writing. Each feature package below has one repository that holds all its
 * statements; no jOOQ type leaves it. Depends on {@code core}, never on the web.
 */
@NullMarked
package dev.lonja.store;

import org.jspecify.annotations.NullMarked;

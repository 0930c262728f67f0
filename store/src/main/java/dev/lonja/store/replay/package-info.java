/** What happened to things, for a replay of it. */
@NullMarked
package dev.lonja.store.replay;

import org.jspecify.annotations.NullMarked;

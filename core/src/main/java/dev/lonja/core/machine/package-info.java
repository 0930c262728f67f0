/**
 * What one machine is made of, what the store knows of the things that go there, and how things are
 * done on it. Start with {@link dev.lonja.core.machine.UnitNeeds}.
 */
@NullMarked
package dev.lonja.core.machine;

import org.jspecify.annotations.NullMarked;

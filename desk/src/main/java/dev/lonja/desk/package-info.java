/**
 * What a person, a device or another program may do: one desk per matter, whose methods check who
 * asks, open one transaction, load, let the core decide, write, and answer with a value or a
 * refusal. Start with {@link dev.lonja.desk.request.OnceOnly}. Holds no words for people, no HTML
 * and no HTTP.
 */
@NullMarked
package dev.lonja.desk;

import org.jspecify.annotations.NullMarked;

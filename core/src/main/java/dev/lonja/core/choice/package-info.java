/**
 * What to choose: the packs that cover a need, the least set of products. Start with {@link
 * dev.lonja.core.choice.PackChoice} and {@link dev.lonja.core.choice.LeastSet}.
 */
@NullMarked
package dev.lonja.core.choice;

import org.jspecify.annotations.NullMarked;

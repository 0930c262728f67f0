/**
 * What a machine was found to lack, and parts that are wanted by themselves. Start with {@link
 * dev.lonja.core.wanted.WantedPart}; {@link dev.lonja.core.wanted.Finding} is where many of them
 * begin. Depends on {@code fleet}, {@code item}, {@code service}, {@code tray} and {@code
 * quantity}.
 */
@NullMarked
package dev.lonja.core.wanted;

import org.jspecify.annotations.NullMarked;

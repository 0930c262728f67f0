/**
 * What is poured: topping up, packs to take or buy, the fluid of a tray line. Start with {@link
 * dev.lonja.web.pour.TopUpController}.
 */
@NullMarked
package dev.lonja.web.pour;

import org.jspecify.annotations.NullMarked;

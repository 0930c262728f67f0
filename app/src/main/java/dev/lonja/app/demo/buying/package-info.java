/**
 * What the demo's store ordered and what came of it. Start with {@link
 * dev.lonja.app.demo.buying.DemoBuying}.
 */
@NullMarked
package dev.lonja.app.demo.buying;

import org.jspecify.annotations.NullMarked;

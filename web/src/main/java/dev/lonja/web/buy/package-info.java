/** What to order, from whom and by when. Start with {@link dev.lonja.web.buy.BuyController}. */
@NullMarked
package dev.lonja.web.buy;

import org.jspecify.annotations.NullMarked;

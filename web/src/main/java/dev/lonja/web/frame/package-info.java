/**
 * What every page shares: the frame around it, words for dates, drawings and plates. Start with
 * {@link dev.lonja.web.frame.FrameAdvice}.
 */
@NullMarked
package dev.lonja.web.frame;

import org.jspecify.annotations.NullMarked;

/**
 * Keys of requests that were carried out, so that none is carried out twice. Start with {@link
 * dev.lonja.store.request.RequestLog}.
 */
@NullMarked
package dev.lonja.store.request;

import org.jspecify.annotations.NullMarked;

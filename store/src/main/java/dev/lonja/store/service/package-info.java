/**
 * Tasks and the records of their being done. Start with {@link
 * dev.lonja.store.service.ServiceRepository}.
 */
@NullMarked
package dev.lonja.store.service;

import org.jspecify.annotations.NullMarked;

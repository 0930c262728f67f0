/**
 * What falls due: planned, moved, and asked about. Start with {@link
 * dev.lonja.desk.service.DueDesk}.
 */
@NullMarked
package dev.lonja.desk.service;

import org.jspecify.annotations.NullMarked;

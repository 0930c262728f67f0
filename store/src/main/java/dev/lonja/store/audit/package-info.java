/** Who changed what, before and after. Start with {@link dev.lonja.store.audit.AuditLog}. */
@NullMarked
package dev.lonja.store.audit;

import org.jspecify.annotations.NullMarked;

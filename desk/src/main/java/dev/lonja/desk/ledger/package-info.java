/** Stock that leaves. Start with {@link dev.lonja.desk.ledger.PackedIssue}. */
@NullMarked
package dev.lonja.desk.ledger;

import org.jspecify.annotations.NullMarked;

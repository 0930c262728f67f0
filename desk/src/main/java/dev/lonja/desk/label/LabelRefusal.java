package dev.lonja.desk.label;

import dev.lonja.desk.request.Refusal;

/** Why a label did not come out. */
public enum LabelRefusal implements Refusal {
  OUT_OF_LABELS,
  NOT_CONNECTED
}

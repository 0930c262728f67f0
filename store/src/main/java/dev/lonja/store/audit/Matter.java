package dev.lonja.store.audit;

/** What a line of the audit is about. */
public enum Matter {
  STORE,
  POLICY,
  CLIMATE,
  RUBBER,
  SUPPLIER,
  ORDER,
  CLAIM,
  BIN,
  PLACE,
  TRANSFER,
  ITEM,
  PRODUCT,
  UNIT,
  UNIT_CLASS,
  VARIANT,
  STUDY,
  TRAY,
  TOP_UP,
  FINDING,
  WANTED_PART,
  PERSON,
  BACKUP,
  EXCHANGE,
  PAGE
}

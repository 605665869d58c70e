package isokinon.server.work.rebuild;

/** Kinds of act by the names they are stored under. A name is never changed and never reused. */
enum StoredKind {
  TAKEN_IN,
  PROVED_SAFE,
  CONFIRMED,
  CHECKED,
  TORQUE_READ,
  PASS_DONE,
  TORQUE_ACCEPTED,
  STEP_DONE,
  STEP_UNDONE,
  JUDGED,
  MATERIAL_CHOSEN,
  LOT_FITTED,
  PROVED,
  MEASURED,
  CAUSE_FOUND,
  SYMPTOMS_TOLD,
  FAULT_FOUND,
  CLOCK_STARTED,
  SENT_BACK,
  SETTLED,
  STAGE_DONE,
  WAY_CHOSEN,
  PLACED,
  PAUSED,
  RESUMED,
  NOTED,
  HANDED_BACK
}

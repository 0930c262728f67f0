-- Released: it is not edited any more. What changes from here on is a migration of its own.

-- Quantities are whole numbers in the base units of the rules: _ul microlitres, _tenths tenths of an
-- hour or kilometre, _micro millionths of a piece or of a litre, _minor minor units of the store's
-- currency, _e4 ten-thousandths. Days (_on) are ISO dates, instants (_at) ISO UTC to the second.

-- "LNJA": by this a file says in its header that it is a store.
PRAGMA application_id = 1280199233;

CREATE TABLE setting (
  name TEXT NOT NULL PRIMARY KEY,
  value TEXT NOT NULL
) STRICT;

-- Someone who may sign in; the key is the name as it is compared. What they know is kept as a hash.
CREATE TABLE person (
  id INTEGER NOT NULL PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  name_key TEXT NOT NULL UNIQUE CHECK (length(name_key) >= 1),
  active INTEGER NOT NULL DEFAULT 1 CHECK (active IN (0, 1)),
  password_hash TEXT,
  pin_hash TEXT,
  badge_hash TEXT UNIQUE,
  -- a code that was given once, to set a password with
  code_hash TEXT,
  code_until_at TEXT,
  -- grows when all sessions that have begun are over
  stamp INTEGER NOT NULL DEFAULT 0 CHECK (stamp >= 0),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  CHECK ((code_hash IS NULL) = (code_until_at IS NULL))
) STRICT;

CREATE TABLE person_role (
  id INTEGER NOT NULL PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person,
  role TEXT NOT NULL CHECK (role IN ('STOREKEEPER', 'BUYER', 'WORKSHOP', 'AUDITOR', 'ADMINISTRATOR')),
  UNIQUE (person_id, role)
) STRICT;

-- A store beside the main one, with bins of its own. Wherever something may be at one of them, no
-- satellite means the main store.
CREATE TABLE satellite (
  id INTEGER NOT NULL PRIMARY KEY,
  name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 60)
) STRICT;

-- Where somebody may work; who has no such line may everywhere.
CREATE TABLE person_place (
  id INTEGER NOT NULL PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person,
  satellite_id INTEGER REFERENCES satellite
) STRICT;
CREATE UNIQUE INDEX person_place_one ON person_place (person_id, coalesce(satellite_id, 0));

-- A device on which somebody has signed in keeps its way in while others guess at their password.
CREATE TABLE known_device (
  id INTEGER NOT NULL PRIMARY KEY,
  person_id INTEGER NOT NULL REFERENCES person,
  token_hash TEXT NOT NULL UNIQUE,
  added_at TEXT NOT NULL
) STRICT;
CREATE INDEX known_device_person ON known_device (person_id);

-- Who did what to what, when and from where; facts are objects of texts in JSON, never sentences.
-- Lines are added and never changed.
CREATE TABLE audit_line (
  id INTEGER NOT NULL PRIMARY KEY,
  recorded_at TEXT NOT NULL,
  actor TEXT NOT NULL CHECK (length(actor) <= 60),
  origin TEXT NOT NULL DEFAULT '' CHECK (length(origin) <= 60),
  matter TEXT NOT NULL CHECK (length(matter) BETWEEN 1 AND 40),
  subject TEXT NOT NULL DEFAULT '' CHECK (length(subject) <= 60),
  deed TEXT NOT NULL CHECK (length(deed) BETWEEN 1 AND 40),
  before_facts TEXT NOT NULL CHECK (json_valid(before_facts)),
  after_facts TEXT NOT NULL CHECK (json_valid(after_facts))
) STRICT;
CREATE INDEX audit_line_subject ON audit_line (matter, subject);

-- Every state-changing form carries a key; what was answered the first time is answered again.
CREATE TABLE request (
  request_key TEXT NOT NULL PRIMARY KEY CHECK (length(request_key) BETWEEN 8 AND 80),
  content_hash TEXT NOT NULL,
  answer TEXT NOT NULL,
  actor TEXT NOT NULL,
  -- when it was done, if it was sent later: without a network it waits in the browser
  happened_at TEXT,
  recorded_at TEXT NOT NULL,
  CHECK (happened_at <= recorded_at)
) STRICT;

CREATE TABLE unit_class (
  id INTEGER NOT NULL PRIMARY KEY,
  code TEXT NOT NULL UNIQUE CHECK (length(code) BETWEEN 1 AND 20),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  outline TEXT NOT NULL DEFAULT 'PLAIN' CHECK (outline IN ('TRUCK', 'VAN', 'FORKLIFT', 'BOAT', 'HOIST', 'SMALL', 'CARRIER', 'SET', 'PLAIN')),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0)
) STRICT;

CREATE TABLE class_month (
  id INTEGER NOT NULL PRIMARY KEY,
  class_id INTEGER NOT NULL REFERENCES unit_class,
  month INTEGER NOT NULL CHECK (month BETWEEN 1 AND 12),
  factor_e4 INTEGER NOT NULL CHECK (factor_e4 BETWEEN 0 AND 120000),
  UNIQUE (class_id, month)
) STRICT;

CREATE TABLE model (
  id INTEGER NOT NULL PRIMARY KEY,
  make TEXT NOT NULL CHECK (length(make) BETWEEN 1 AND 60),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  UNIQUE (make, name)
) STRICT;

-- An engine variant of a model says what its machines are made of and what is done to them.
CREATE TABLE variant (
  id INTEGER NOT NULL PRIMARY KEY,
  model_id INTEGER NOT NULL REFERENCES model,
  name TEXT NOT NULL CHECK (length(name) <= 60),
  engine TEXT NOT NULL DEFAULT '' CHECK (length(engine) <= 60),
  power_w INTEGER CHECK (power_w BETWEEN 1 AND 100000000),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  UNIQUE (model_id, name)
) STRICT;

CREATE TABLE unit (
  id INTEGER NOT NULL PRIMARY KEY,
  code TEXT NOT NULL UNIQUE CHECK (length(code) BETWEEN 1 AND 20),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  class_id INTEGER NOT NULL REFERENCES unit_class,
  variant_id INTEGER NOT NULL REFERENCES variant,
  -- where it is served from
  satellite_id INTEGER REFERENCES satellite,
  in_service_on TEXT NOT NULL CHECK (date(in_service_on) = in_service_on),
  retired_on TEXT CHECK (date(retired_on) = retired_on),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  CHECK (retired_on >= in_service_on)
) STRICT;
CREATE INDEX unit_class_of ON unit (class_id);
CREATE INDEX unit_variant ON unit (variant_id);

CREATE TABLE lay_up (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  first_on TEXT NOT NULL CHECK (date(first_on) = first_on),
  last_on TEXT NOT NULL CHECK (date(last_on) = last_on),
  CHECK (first_on <= last_on)
) STRICT;
CREATE INDEX lay_up_unit ON lay_up (unit_id);

CREATE TABLE meter (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  name TEXT NOT NULL,
  measure TEXT NOT NULL CHECK (measure IN ('h', 'km')),
  start_tenths INTEGER NOT NULL CHECK (start_tenths BETWEEN 0 AND 100000000),
  declared_rate_nano INTEGER CHECK (declared_rate_nano BETWEEN 0 AND 1500000000000),
  -- counts what was noted of it, so that what is worked out from its readings need not be anew
  changes INTEGER NOT NULL DEFAULT 0 CHECK (changes >= 0),
  UNIQUE (unit_id, name)
) STRICT;

CREATE TABLE reading (
  id INTEGER NOT NULL PRIMARY KEY,
  meter_id INTEGER NOT NULL REFERENCES meter,
  read_on TEXT NOT NULL CHECK (date(read_on) = read_on),
  read_at TEXT,
  value_tenths INTEGER NOT NULL CHECK (value_tenths BETWEEN 0 AND 100000000),
  source TEXT NOT NULL CHECK (source IN ('ENTERED', 'IMPORTED', 'HAND_OVER', 'TAKE_BACK', 'REPLACEMENT', 'FEED')),
  corrects INTEGER REFERENCES reading,
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX reading_meter ON reading (meter_id, read_on);
CREATE INDEX reading_corrects ON reading (corrects);

-- What the notes of a meter come down to, kept so that a start reads these and not every reading. It
-- holds as long as meter, calendar and rules are the ones it was worked out from.
CREATE TABLE meter_digest (
  meter_id INTEGER NOT NULL PRIMARY KEY REFERENCES meter,
  rules INTEGER NOT NULL CHECK (rules > 0),
  changes INTEGER NOT NULL CHECK (changes >= 0),
  calendar TEXT NOT NULL,
  last_on TEXT CHECK (date(last_on) = last_on),
  last_at TEXT,
  last_shown_tenths INTEGER CHECK (last_shown_tenths >= 0),
  last_life_tenths INTEGER CHECK (last_life_tenths >= 0),
  offset_tenths INTEGER NOT NULL,
  rate_nano INTEGER CHECK (rate_nano >= 0),
  rate_source TEXT CHECK (rate_source IN ('READINGS', 'BURSTY_READINGS')),
  dispersion_micro INTEGER CHECK (dispersion_micro >= 100000),
  CHECK ((last_on IS NULL) = (last_shown_tenths IS NULL) AND (last_on IS NULL) = (last_life_tenths IS NULL)),
  CHECK ((rate_nano IS NULL) = (rate_source IS NULL))
) STRICT;

-- What a person decided about a reading; the latest line on it holds.
CREATE TABLE reading_ruling (
  id INTEGER NOT NULL PRIMARY KEY,
  reading_id INTEGER NOT NULL REFERENCES reading,
  accepted INTEGER NOT NULL CHECK (accepted IN (0, 1)),
  reason TEXT NOT NULL CHECK (length(reason) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX reading_ruling_reading ON reading_ruling (reading_id);

-- A meter exchanged after its last reading; one noted in error is withdrawn by a later line.
CREATE TABLE meter_replacement (
  id INTEGER NOT NULL PRIMARY KEY,
  end_reading_id INTEGER NOT NULL REFERENCES reading,
  start_tenths INTEGER NOT NULL CHECK (start_tenths BETWEEN 0 AND 100000000),
  withdraws INTEGER UNIQUE REFERENCES meter_replacement,
  reason TEXT NOT NULL CHECK (length(reason) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX meter_replacement_end ON meter_replacement (end_reading_id);

CREATE TABLE product (
  id INTEGER NOT NULL PRIMARY KEY,
  make TEXT NOT NULL CHECK (length(make) BETWEEN 1 AND 60),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  kind TEXT NOT NULL CHECK (kind IN ('ENGINE_OIL', 'GEAR_OIL', 'HYDRAULIC_OIL', 'COOLANT', 'BRAKE_FLUID', 'EXHAUST_FLUID', 'WASHER_FLUID', 'GREASE', 'DIESEL', 'PETROL')),
  grade TEXT NOT NULL,
  -- as printed; what it claims is read against the list of classes
  classes TEXT NOT NULL,
  -- from the data sheet, each unknown if absent; ash in thousandths of a per cent
  ash_e3 INTEGER CHECK (ash_e3 BETWEEN 0 AND 100000),
  zinc_mg_kg INTEGER CHECK (zinc_mg_kg BETWEEN 0 AND 100000),
  friction_modifier INTEGER CHECK (friction_modifier IN (0, 1)),
  biodegradable INTEGER CHECK (biodegradable IN (0, 1)),
  density_g_m3 INTEGER CHECK (density_g_m3 BETWEEN 1000 AND 20000000),
  chemistry TEXT CHECK (chemistry IN ('IAT', 'OAT', 'SI_OAT', 'P_OAT', 'N_HOAT')),
  base TEXT CHECK (base IN ('GLYCOL', 'SILICONE', 'MINERAL')),
  hydraulic_type TEXT CHECK (hydraulic_type IN ('HM', 'HV', 'HEES', 'HETG', 'HEPR', 'HEPG')),
  -- of a coolant or a screen wash: the part of concentrate in it as it comes, what keeps it from
  -- freezing, and the freeze points of its label as "0.33 -18; 0.5 -36"
  mix_share_e4 INTEGER CHECK (mix_share_e4 BETWEEN 1 AND 10000),
  glycol TEXT CHECK (glycol IN ('ETHYLENE', 'PROPYLENE')),
  freeze_points TEXT CHECK (length(freeze_points) BETWEEN 5 AND 200),
  -- codes of hazard texts with a comma and a space between them
  hazards TEXT NOT NULL,
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  UNIQUE (make, name),
  CHECK (mix_share_e4 IS NULL OR kind IN ('COOLANT', 'WASHER_FLUID')),
  CHECK (mix_share_e4 IS NOT NULL OR glycol IS NULL AND freeze_points IS NULL)
) STRICT;

CREATE TABLE product_approval (
  id INTEGER NOT NULL PRIMARY KEY,
  product_id INTEGER NOT NULL REFERENCES product,
  code TEXT NOT NULL CHECK (length(code) BETWEEN 1 AND 40),
  -- 1 if the maker lists the product, 0 if the label says "suitable for"
  listed INTEGER NOT NULL CHECK (listed IN (0, 1)),
  UNIQUE (product_id, code)
) STRICT;

-- Sheets of a product as their maker gave them out; the latest of a kind holds.
CREATE TABLE data_sheet (
  id INTEGER NOT NULL PRIMARY KEY,
  product_id INTEGER NOT NULL REFERENCES product,
  kind TEXT NOT NULL CHECK (kind IN ('SAFETY', 'PRODUCT')),
  dated_on TEXT NOT NULL CHECK (date(dated_on) = dated_on),
  content BLOB NOT NULL CHECK (length(content) BETWEEN 1 AND 2097152),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX data_sheet_product ON data_sheet (product_id, kind, dated_on);

-- Where this store departs from the public reference data that ship: the latest line on a row of a
-- file holds, and its history is what stands before it. No content takes the row out.
CREATE TABLE reference_change (
  id INTEGER NOT NULL PRIMARY KEY,
  file TEXT NOT NULL CHECK (length(file) BETWEEN 1 AND 40),
  row_key TEXT NOT NULL CHECK (length(row_key) BETWEEN 1 AND 200),
  content TEXT CHECK (length(content) BETWEEN 1 AND 1000),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX reference_change_row ON reference_change (file, row_key);

-- The lowest and highest ambient temperature of each month of the store's year.
CREATE TABLE climate_month (
  id INTEGER NOT NULL PRIMARY KEY CHECK (id BETWEEN 1 AND 12),
  lowest_tenths INTEGER NOT NULL CHECK (lowest_tenths BETWEEN -900 AND 900),
  highest_tenths INTEGER NOT NULL CHECK (highest_tenths BETWEEN lowest_tenths AND 900)
) STRICT;

CREATE TABLE bin (
  id INTEGER NOT NULL PRIMARY KEY,
  address TEXT NOT NULL UNIQUE CHECK (length(address) BETWEEN 1 AND 12),
  walk_order INTEGER NOT NULL UNIQUE CHECK (walk_order BETWEEN 1 AND 999999),
  satellite_id INTEGER REFERENCES satellite
) STRICT;

-- A part as its maker numbers it, stocked here or not. The near key is for suggestions only.
CREATE TABLE part (
  id INTEGER NOT NULL PRIMARY KEY,
  make TEXT NOT NULL CHECK (length(make) BETWEEN 1 AND 60),
  number TEXT NOT NULL CHECK (length(number) BETWEEN 1 AND 60),
  number_key TEXT NOT NULL CHECK (length(number_key) >= 1),
  near_key TEXT NOT NULL CHECK (length(near_key) >= 1),
  family TEXT CHECK (family IN ('SPIN_ON_FILTER', 'CARTRIDGE_FILTER', 'ROUND_AIR_FILTER', 'PANEL_AIR_FILTER', 'CABIN_FILTER', 'FOAM_FILTER', 'INLINE_FUEL_FILTER', 'SEAL', 'O_RING', 'DRAIN_PLUG', 'FLUID', 'GASKET', 'BELT', 'SPARK_PLUG', 'HOSE_CLIP', 'BLADE', 'BULB', 'WIPER', 'GREASE', 'CONSUMABLE', 'KIT')),
  UNIQUE (make, number)
) STRICT;
CREATE INDEX part_number_key ON part (number_key);
CREATE INDEX part_near_key ON part (near_key);
CREATE INDEX part_make_key ON part (make COLLATE NOCASE, number_key);
CREATE INDEX part_family ON part (family) WHERE family IS NOT NULL;
-- keys with other letters than the plain ones, which a search by one edit has to look through
CREATE INDEX part_rare_key ON part (number_key) WHERE number_key GLOB '*[^0-9A-Z]*';

CREATE TABLE part_property (
  id INTEGER NOT NULL PRIMARY KEY,
  part_id INTEGER NOT NULL REFERENCES part,
  property TEXT NOT NULL,
  value TEXT NOT NULL CHECK (length(value) BETWEEN 1 AND 60),
  UNIQUE (part_id, property)
) STRICT;

-- What comes in the box of a part, or in a kit.
CREATE TABLE box_content (
  id INTEGER NOT NULL PRIMARY KEY,
  part_id INTEGER NOT NULL REFERENCES part,
  content_part_id INTEGER NOT NULL REFERENCES part,
  quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 200),
  UNIQUE (part_id, content_part_id),
  CHECK (part_id <> content_part_id)
) STRICT;
CREATE INDEX box_content_content ON box_content (content_part_id);

-- Machines that a kit is made for; a kit without any is for all that its contents match.
CREATE TABLE kit_range (
  id INTEGER NOT NULL PRIMARY KEY,
  part_id INTEGER NOT NULL REFERENCES part,
  make TEXT NOT NULL CHECK (length(make) <= 60),
  model TEXT NOT NULL CHECK (length(model) <= 60),
  engine TEXT NOT NULL CHECK (length(engine) <= 60),
  least_w INTEGER CHECK (least_w BETWEEN 1 AND 100000000),
  most_w INTEGER CHECK (most_w BETWEEN 1 AND 100000000),
  CHECK (least_w <= most_w),
  CHECK (make <> '' OR model <> '' OR engine <> '' OR least_w IS NOT NULL OR most_w IS NOT NULL)
) STRICT;
CREATE INDEX kit_range_part ON kit_range (part_id);

-- A sourced word on two parts, the subject first. A later withdrawal that names it ends it.
CREATE TABLE statement (
  id INTEGER NOT NULL PRIMARY KEY,
  subject_id INTEGER NOT NULL REFERENCES part,
  kind TEXT NOT NULL CHECK (kind IN ('SAME', 'INTERCHANGE', 'REPLACES', 'STANDS_IN', 'NEVER')),
  object_id INTEGER NOT NULL REFERENCES part,
  source TEXT NOT NULL CHECK (source IN ('CONFIRMED_HERE', 'MACHINE_MAKER', 'MEASURED_HERE', 'FILTER_MAKER', 'SUPPLIER', 'HEARD')),
  said_on TEXT NOT NULL CHECK (date(said_on) = said_on),
  confidence_e4 INTEGER NOT NULL CHECK (confidence_e4 BETWEEN 1 AND 10000),
  note TEXT NOT NULL CHECK (length(note) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK (subject_id <> object_id),
  CHECK (kind <> 'NEVER' OR trim(note) <> '')
) STRICT;
CREATE INDEX statement_subject ON statement (subject_id);
CREATE INDEX statement_object ON statement (object_id);
CREATE INDEX statement_never ON statement (kind) WHERE kind = 'NEVER';

CREATE TABLE withdrawal (
  id INTEGER NOT NULL PRIMARY KEY,
  statement_id INTEGER NOT NULL UNIQUE REFERENCES statement,
  reason TEXT NOT NULL CHECK (length(reason) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;

-- Where this store departs from the guidance on rubbers that ships; blank takes a pair out.
CREATE TABLE rubber_fluid (
  id INTEGER NOT NULL PRIMARY KEY,
  rubber TEXT NOT NULL,
  fluid TEXT NOT NULL,
  guidance TEXT CHECK (guidance IN ('YES', 'CHECK', 'NO')),
  UNIQUE (rubber, fluid)
) STRICT;

CREATE TABLE item (
  id INTEGER NOT NULL PRIMARY KEY,
  part_id INTEGER NOT NULL UNIQUE REFERENCES part,
  description TEXT NOT NULL CHECK (length(description) BETWEEN 1 AND 120),
  measure TEXT NOT NULL CHECK (measure IN ('pc', 'L', 'kg')),
  product_id INTEGER REFERENCES product,
  pack_micro INTEGER CHECK (pack_micro BETWEEN 1 AND 100000000000),
  filter_volume_ul INTEGER CHECK (filter_volume_ul BETWEEN 1 AND 100000000000),
  home_bin_id INTEGER NOT NULL REFERENCES bin,
  -- days an unopened one keeps after receipt, and an opened one
  shelf_life_days INTEGER CHECK (shelf_life_days BETWEEN 1 AND 10000),
  open_life_days INTEGER CHECK (open_life_days BETWEEN 1 AND 10000),
  -- not bought again; what is left is used first
  running_out INTEGER NOT NULL DEFAULT 0 CHECK (running_out IN (0, 1)),
  -- what it means if it is not there when it is wanted
  criticality TEXT NOT NULL DEFAULT 'NORMAL' CHECK (criticality IN ('STOPS_THE_UNIT', 'NORMAL', 'CONVENIENCE')),
  retired_on TEXT CHECK (date(retired_on) = retired_on),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  CHECK ((product_id IS NOT NULL) = (measure = 'L')),
  CHECK ((measure <> 'pc') = (pack_micro IS NOT NULL))
) STRICT;
CREATE INDEX item_product ON item (product_id);
CREATE INDEX item_home_bin ON item (home_bin_id);

CREATE TABLE barcode (
  id INTEGER NOT NULL PRIMARY KEY,
  item_id INTEGER NOT NULL REFERENCES item,
  code TEXT NOT NULL UNIQUE CHECK (length(code) BETWEEN 1 AND 80)
) STRICT;
CREATE INDEX barcode_item ON barcode (item_id);

-- How much of an item a bin should hold.
CREATE TABLE item_bin (
  id INTEGER NOT NULL PRIMARY KEY,
  item_id INTEGER NOT NULL REFERENCES item,
  bin_id INTEGER NOT NULL REFERENCES bin,
  least_micro INTEGER NOT NULL CHECK (least_micro BETWEEN 0 AND 1000000000000),
  most_micro INTEGER NOT NULL CHECK (most_micro BETWEEN 1 AND 1000000000000),
  UNIQUE (item_id, bin_id),
  CHECK (least_micro <= most_micro)
) STRICT;
CREATE INDEX item_bin_bin ON item_bin (bin_id);

CREATE TABLE picture (
  item_id INTEGER NOT NULL PRIMARY KEY REFERENCES item,
  media_type TEXT NOT NULL CHECK (media_type = 'image/jpeg'),
  content BLOB NOT NULL CHECK (length(content) BETWEEN 1 AND 524288)
) STRICT;

CREATE TABLE supplier (
  id INTEGER NOT NULL PRIMARY KEY,
  name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 60),
  lead_days INTEGER NOT NULL CHECK (lead_days BETWEEN 0 AND 400),
  -- weekdays on which something arrives, MON to SUN in order with a space between; any if empty
  arrival_days TEXT NOT NULL DEFAULT '' CHECK (length(arrival_days) <= 27),
  -- the last weekday of a week whose orders count from their own day
  cut_off TEXT CHECK (cut_off IN ('MON', 'TUE', 'WED', 'THU', 'FRI', 'SAT', 'SUN')),
  freight_minor INTEGER CHECK (freight_minor BETWEEN 1 AND 100000000),
  free_from_minor INTEGER CHECK (free_from_minor BETWEEN 1 AND 100000000000),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  CHECK (free_from_minor IS NULL OR freight_minor IS NOT NULL)
) STRICT;

-- Days on which a supplier takes no orders and nothing arrives, both ends included.
CREATE TABLE supplier_closed (
  id INTEGER NOT NULL PRIMARY KEY,
  supplier_id INTEGER NOT NULL REFERENCES supplier,
  from_on TEXT NOT NULL CHECK (date(from_on) = from_on),
  until_on TEXT NOT NULL CHECK (date(until_on) = until_on),
  UNIQUE (supplier_id, from_on),
  CHECK (julianday(until_on) - julianday(from_on) BETWEEN 0 AND 400)
) STRICT;

-- What a supplier asks for a piece or litre of an item, and in which packs it comes.
CREATE TABLE supply (
  id INTEGER NOT NULL PRIMARY KEY,
  item_id INTEGER NOT NULL REFERENCES item,
  supplier_id INTEGER NOT NULL REFERENCES supplier,
  order_number TEXT NOT NULL CHECK (length(order_number) <= 60),
  price_e4 INTEGER NOT NULL CHECK (price_e4 BETWEEN 0 AND 1000000000000),
  pack_micro INTEGER NOT NULL CHECK (pack_micro BETWEEN 1 AND 1000000000000),
  least_micro INTEGER NOT NULL CHECK (least_micro BETWEEN 1 AND 1000000000000),
  UNIQUE (item_id, supplier_id)
) STRICT;
CREATE INDEX supply_supplier ON supply (supplier_id);

-- from so much on, all of it costs something else
CREATE TABLE price_break (
  id INTEGER NOT NULL PRIMARY KEY,
  supply_id INTEGER NOT NULL REFERENCES supply,
  from_micro INTEGER NOT NULL CHECK (from_micro BETWEEN 1 AND 1000000000000),
  price_e4 INTEGER NOT NULL CHECK (price_e4 BETWEEN 0 AND 1000000000000),
  UNIQUE (supply_id, from_micro)
) STRICT;

CREATE TABLE lot (
  id INTEGER NOT NULL PRIMARY KEY,
  item_id INTEGER NOT NULL REFERENCES item,
  code TEXT NOT NULL CHECK (length(code) BETWEEN 1 AND 40),
  received_on TEXT NOT NULL CHECK (date(received_on) = received_on),
  expires_on TEXT CHECK (date(expires_on) = expires_on),
  quarantined INTEGER NOT NULL DEFAULT 0 CHECK (quarantined IN (0, 1)),
  -- never changes; what turns out to be in another goes into a lot of its own
  condition TEXT NOT NULL DEFAULT 'NEW' CHECK (condition IN ('NEW', 'USED_GOOD', 'TO_RECONDITION')),
  -- an open container is a lot of its own
  opened_on TEXT CHECK (date(opened_on) = opened_on),
  -- a lot is booked together with its item, so that none is booked under another's
  UNIQUE (item_id, id)
) STRICT;
-- one code may be set aside in part, and come with another date on it
CREATE UNIQUE INDEX lot_apart
  ON lot (item_id, code, condition, quarantined, coalesce(expires_on, ''), coalesce(opened_on, ''));

CREATE TABLE movement (
  id INTEGER NOT NULL PRIMARY KEY,
  item_id INTEGER NOT NULL REFERENCES item,
  lot_id INTEGER NOT NULL,
  bin_id INTEGER NOT NULL REFERENCES bin,
  kind TEXT NOT NULL CHECK (kind IN ('RECEIPT', 'ISSUE', 'RETURN', 'SALVAGE', 'RECONDITIONED', 'REGRADED', 'TRANSFER', 'ADJUSTMENT', 'COUNT', 'KIT_BROKEN', 'KIT_MADE', 'OPENED', 'POUR', 'SCRAP', 'REVALUED', 'CORRECTION')),
  -- nothing for what is worth more or less afterwards
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN -1000000000000 AND 1000000000000),
  value_minor INTEGER NOT NULL CHECK (value_minor BETWEEN -100000000000000 AND 100000000000000),
  average_e4 INTEGER NOT NULL CHECK (average_e4 BETWEEN 0 AND 1000000000000),
  reason TEXT NOT NULL,
  reference TEXT NOT NULL,
  refers_to INTEGER REFERENCES movement,
  request_key TEXT NOT NULL REFERENCES request DEFERRABLE INITIALLY DEFERRED,
  line_no INTEGER NOT NULL CHECK (line_no >= 1),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  FOREIGN KEY (item_id, lot_id) REFERENCES lot (item_id, id),
  UNIQUE (request_key, line_no),
  CHECK ((quantity_micro = 0) = (kind = 'REVALUED')),
  CHECK (kind NOT IN ('RETURN', 'REVALUED', 'CORRECTION') OR refers_to IS NOT NULL),
  CHECK (kind NOT IN ('RECEIPT', 'RETURN', 'SALVAGE') OR quantity_micro > 0),
  CHECK (kind NOT IN ('ISSUE', 'POUR', 'SCRAP') OR quantity_micro < 0)
) STRICT;
CREATE INDEX movement_item ON movement (item_id, id);
-- what an item is worth in a condition is a sum over the movements of its lots, read from here alone
CREATE INDEX movement_worth ON movement (item_id, lot_id, value_minor);
-- what was issued lately is looked through for what nobody planned
CREATE INDEX movement_issue ON movement (recorded_at) WHERE kind = 'ISSUE';
CREATE INDEX movement_refers_to ON movement (refers_to);
CREATE INDEX movement_reference ON movement (reference);

-- On hand is the sum of movements. This table is that sum, kept by a trigger so that a page need not
-- add up years of lines; its CHECK is the last guard against stock below zero.
CREATE TABLE stock (
  item_id INTEGER NOT NULL,
  lot_id INTEGER NOT NULL,
  bin_id INTEGER NOT NULL REFERENCES bin,
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro >= 0),
  PRIMARY KEY (item_id, lot_id, bin_id),
  FOREIGN KEY (item_id, lot_id) REFERENCES lot (item_id, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX stock_bin ON stock (bin_id);

CREATE TRIGGER movement_keeps_stock AFTER INSERT ON movement BEGIN
  -- two statements, not an upsert: an upsert checks the signed quantity before it adds
  INSERT OR IGNORE INTO stock (item_id, lot_id, bin_id, quantity_micro)
  VALUES (NEW.item_id, NEW.lot_id, NEW.bin_id, 0);
  UPDATE stock SET quantity_micro = quantity_micro + NEW.quantity_micro
   WHERE item_id = NEW.item_id AND lot_id = NEW.lot_id AND bin_id = NEW.bin_id;
END;

CREATE TABLE compartment (
  id INTEGER NOT NULL PRIMARY KEY,
  variant_id INTEGER NOT NULL REFERENCES variant,
  name TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('ENGINE', 'GEARBOX', 'PRIMARY_DRIVE', 'ENGINE_CLUTCH', 'FRONT_DRIVE', 'REAR_DRIVE', 'TRANSFER_CASE', 'HYDRAULIC', 'POWER_STEERING', 'COOLING', 'BRAKE_CIRCUIT', 'EXHAUST_FLUID', 'WASHER', 'FUEL_TANK')),
  item_id INTEGER REFERENCES item,
  hint TEXT NOT NULL,
  -- what it demands of a fluid; grades, classes and approvals stand in tables of their own
  fluid_kind TEXT NOT NULL CHECK (fluid_kind IN ('ENGINE_OIL', 'GEAR_OIL', 'HYDRAULIC_OIL', 'COOLANT', 'BRAKE_FLUID', 'EXHAUST_FLUID', 'WASHER_FLUID', 'GREASE', 'DIESEL', 'PETROL')),
  approval_mode TEXT NOT NULL DEFAULT 'OR_CLASS' CHECK (approval_mode IN ('LISTED', 'OR_CLASS')),
  most_ash_e3 INTEGER CHECK (most_ash_e3 BETWEEN 0 AND 100000),
  least_zinc_mg_kg INTEGER CHECK (least_zinc_mg_kg BETWEEN 0 AND 100000),
  friction_modifier TEXT NOT NULL DEFAULT 'ANY' CHECK (friction_modifier IN ('ANY', 'FORBIDDEN', 'REQUIRED')),
  wet_clutch INTEGER NOT NULL DEFAULT 0 CHECK (wet_clutch IN (0, 1)),
  biodegradable INTEGER NOT NULL DEFAULT 0 CHECK (biodegradable IN (0, 1)),
  chemistry TEXT CHECK (chemistry IN ('IAT', 'OAT', 'SI_OAT', 'P_OAT', 'N_HOAT')),
  base TEXT CHECK (base IN ('GLYCOL', 'SILICONE', 'MINERAL')),
  -- to which frost it must be protected, in tenths of °C, and the part of concentrate it must have
  protect_tenths_c INTEGER CHECK (protect_tenths_c BETWEEN -800 AND 0),
  mix_share_e4 INTEGER CHECK (mix_share_e4 BETWEEN 1 AND 10000),
  -- how its level is read; each method has its own columns and no others
  level_method TEXT CHECK (level_method IN ('DIPSTICK', 'SIGHT_GLASS', 'GAUGE', 'OVERFLOW', 'MEASURED')),
  stick_warmth TEXT CHECK (stick_warmth IN ('COLD', 'HOT')),
  stick_seat TEXT CHECK (stick_seat IN ('PUSHED_IN', 'SCREWED_IN', 'RESTING')),
  stick_stance TEXT CHECK (stick_stance IN ('UPRIGHT', 'ON_STAND')),
  gauge_celsius INTEGER CHECK (gauge_celsius BETWEEN 0 AND 150),
  -- its own share that is held back, instead of the store's
  hold_back_e4 INTEGER CHECK (hold_back_e4 BETWEEN 0 AND 5000),
  -- what it is flushed with before it is drained, where a policy asks for that
  flush_item_id INTEGER REFERENCES item,
  flush_ul INTEGER CHECK (flush_ul BETWEEN 1 AND 100000000000),
  -- what is added between services, each 100 h or 1,000 km of the meter that is named
  top_up_ul INTEGER CHECK (top_up_ul BETWEEN 1 AND 100000000000),
  top_up_meter TEXT CHECK (length(top_up_meter) BETWEEN 1 AND 40),
  UNIQUE (variant_id, name),
  CHECK ((level_method IS 'DIPSTICK') = (stick_warmth IS NOT NULL)),
  CHECK ((level_method IS 'DIPSTICK') = (stick_seat IS NOT NULL)),
  CHECK ((level_method IS 'DIPSTICK') = (stick_stance IS NOT NULL)),
  CHECK ((level_method IS 'GAUGE') = (gauge_celsius IS NOT NULL)),
  CHECK ((flush_item_id IS NULL) = (flush_ul IS NULL)),
  CHECK ((top_up_ul IS NULL) = (top_up_meter IS NULL)),
  CHECK (hold_back_e4 IS NULL OR level_method IS NULL OR level_method NOT IN ('OVERFLOW', 'MEASURED'))
) STRICT;
CREATE INDEX compartment_item ON compartment (item_id);

CREATE TABLE spec_grade (
  id INTEGER NOT NULL PRIMARY KEY,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  grade TEXT NOT NULL CHECK (length(grade) BETWEEN 1 AND 20),
  -- either end may be open
  lowest_tenths INTEGER CHECK (lowest_tenths BETWEEN -900 AND 900),
  highest_tenths INTEGER CHECK (highest_tenths BETWEEN -900 AND 900),
  CHECK (lowest_tenths IS NULL OR highest_tenths IS NULL OR lowest_tenths <= highest_tenths)
) STRICT;
CREATE INDEX spec_grade_compartment ON spec_grade (compartment_id);

-- Any of the groups will do; a group needs all of its classes.
CREATE TABLE spec_class (
  id INTEGER NOT NULL PRIMARY KEY,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  group_no INTEGER NOT NULL CHECK (group_no BETWEEN 1 AND 20),
  organisation TEXT NOT NULL CHECK (length(organisation) <= 20),
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 20),
  UNIQUE (compartment_id, group_no, organisation, name)
) STRICT;

CREATE TABLE spec_approval (
  id INTEGER NOT NULL PRIMARY KEY,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  code TEXT NOT NULL CHECK (length(code) BETWEEN 1 AND 40),
  UNIQUE (compartment_id, code)
) STRICT;

-- A comparison of what is kept with the least set of products.
CREATE TABLE study (
  id INTEGER NOT NULL PRIMARY KEY,
  title TEXT NOT NULL CHECK (length(title) BETWEEN 1 AND 60),
  made_on TEXT NOT NULL CHECK (date(made_on) = made_on),
  -- the lowest verdict that counted as covering
  allowed TEXT NOT NULL CHECK (allowed IN ('LISTED', 'MEETS', 'SEASONAL', 'SIGN_OFF')),
  holding_minor INTEGER NOT NULL CHECK (holding_minor BETWEEN 0 AND 10000000),
  cost_minor INTEGER NOT NULL,
  cost_today_minor INTEGER NOT NULL,
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;

-- Products the person forbade or kept, and those that the optimum chose.
CREATE TABLE study_product (
  id INTEGER NOT NULL PRIMARY KEY,
  study_id INTEGER NOT NULL REFERENCES study,
  product_id INTEGER NOT NULL REFERENCES product,
  part TEXT NOT NULL CHECK (part IN ('FORBIDDEN', 'KEPT', 'CHOSEN')),
  UNIQUE (study_id, product_id, part)
) STRICT;

-- A spec in use: what serves it today, what would, and how many litres a year.
CREATE TABLE study_line (
  id INTEGER NOT NULL PRIMARY KEY,
  study_id INTEGER NOT NULL REFERENCES study,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  litres_ul INTEGER NOT NULL CHECK (litres_ul BETWEEN 0 AND 1000000000000),
  today_id INTEGER REFERENCES product,
  proposed_id INTEGER REFERENCES product,
  UNIQUE (study_id, compartment_id, today_id)
) STRICT;

-- The unit alone forces the product.
CREATE TABLE study_force (
  id INTEGER NOT NULL PRIMARY KEY,
  study_id INTEGER NOT NULL REFERENCES study,
  unit_id INTEGER NOT NULL REFERENCES unit,
  product_id INTEGER NOT NULL REFERENCES product,
  UNIQUE (study_id, unit_id, product_id)
) STRICT;

-- From a day on a compartment takes another item; the stock of the old one is used up before.
CREATE TABLE change_over (
  id INTEGER NOT NULL PRIMARY KEY,
  compartment_id INTEGER NOT NULL UNIQUE REFERENCES compartment,
  item_id INTEGER NOT NULL REFERENCES item,
  from_on TEXT NOT NULL CHECK (date(from_on) = from_on),
  study_id INTEGER NOT NULL REFERENCES study
) STRICT;

CREATE TABLE capacity (
  id INTEGER NOT NULL PRIMARY KEY,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  condition TEXT NOT NULL CHECK (condition IN ('DRY', 'WITH_FILTER', 'WITHOUT_FILTER')),
  volume_ul INTEGER NOT NULL CHECK (volume_ul BETWEEN 1 AND 100000000000),
  -- the high end, where the book gives a range
  high_ul INTEGER CHECK (high_ul BETWEEN 1 AND 100000000000),
  UNIQUE (compartment_id, condition),
  CHECK (high_ul > volume_ul)
) STRICT;

CREATE TABLE position (
  id INTEGER NOT NULL PRIMARY KEY,
  variant_id INTEGER NOT NULL REFERENCES variant,
  compartment_id INTEGER REFERENCES compartment,
  name TEXT NOT NULL,
  kind TEXT NOT NULL CHECK (kind IN ('OIL_FILTER', 'FUEL_FILTER', 'AIR_FILTER', 'CABIN_FILTER', 'HYDRAULIC_FILTER', 'DRAIN_PLUG', 'FILL_PLUG', 'DRAIN_SEAL', 'COVER_SEAL', 'BELT', 'CHAIN', 'SPARK_PLUG', 'SPARK_ARRESTER', 'PRE_FILTER', 'GASKET', 'HOSE_CLIP', 'DRAIN_PAN', 'WIPER', 'BULB', 'BLADE', 'TYRE', 'BATTERY', 'GREASE_POINT', 'INSURANCE')),
  item_id INTEGER REFERENCES item,
  quantity INTEGER NOT NULL CHECK (quantity BETWEEN 1 AND 200),
  -- of the grease gun at each point
  strokes INTEGER CHECK (strokes BETWEEN 1 AND 200),
  torque_low_mnm INTEGER CHECK (torque_low_mnm BETWEEN 1 AND 10000000),
  torque_high_mnm INTEGER CHECK (torque_high_mnm BETWEEN torque_low_mnm AND 10000000),
  mounting TEXT CHECK (mounting IN ('UPRIGHT', 'SIDEWAYS', 'INVERTED')),
  -- where the arrow on the part points
  arrow TEXT CHECK (arrow IN ('UP', 'DOWN', 'TO_ENGINE', 'TO_TANK', 'INWARD', 'OUTWARD')),
  thread TEXT NOT NULL,
  drive TEXT NOT NULL,
  note TEXT NOT NULL,
  -- what the place demands of whatever goes there
  most_height_um INTEGER CHECK (most_height_um BETWEEN 1 AND 10000000),
  most_outer_um INTEGER CHECK (most_outer_um BETWEEN 1 AND 10000000),
  water_separator INTEGER NOT NULL DEFAULT 0 CHECK (water_separator IN (0, 1)),
  materials TEXT NOT NULL DEFAULT '',
  UNIQUE (variant_id, name),
  CHECK (strokes IS NULL OR kind = 'GREASE_POINT'),
  CHECK ((torque_low_mnm IS NULL) = (torque_high_mnm IS NULL))
) STRICT;
CREATE INDEX position_item ON position (item_id);

-- How things are done where practitioners differ: for the whole store, or for the one thing that the
-- row names.
CREATE TABLE policy (
  id INTEGER NOT NULL PRIMARY KEY,
  question TEXT NOT NULL CHECK (question IN ('DRAIN_SEAL', 'SERVICE_INTERVAL', 'CALENDAR_LIMIT', 'AIR_FILTER', 'FIRST_POUR', 'PRE_FILL', 'TIGHTENING', 'PLUGS_AND_FUEL_FILTERS', 'ONE_OIL', 'FLUSH', 'INSURANCE', 'KIT_OR_LOOSE', 'FILTER_MAKE')),
  class_id INTEGER REFERENCES unit_class ON DELETE CASCADE,
  unit_id INTEGER REFERENCES unit ON DELETE CASCADE,
  compartment_id INTEGER REFERENCES compartment ON DELETE CASCADE,
  position_id INTEGER REFERENCES position ON DELETE CASCADE,
  school TEXT NOT NULL CHECK (length(school) BETWEEN 1 AND 60),
  number_e4 INTEGER CHECK (number_e4 BETWEEN 1 AND 1000000),
  CHECK ((class_id IS NOT NULL) + (unit_id IS NOT NULL) + (compartment_id IS NOT NULL) + (position_id IS NOT NULL) <= 1)
) STRICT;
CREATE UNIQUE INDEX policy_of_class ON policy (question, class_id);
CREATE UNIQUE INDEX policy_of_unit ON policy (question, unit_id);
CREATE UNIQUE INDEX policy_of_compartment ON policy (question, compartment_id);
CREATE UNIQUE INDEX policy_of_position ON policy (question, position_id);

CREATE TABLE service (
  id INTEGER NOT NULL PRIMARY KEY,
  variant_id INTEGER NOT NULL REFERENCES variant,
  name TEXT NOT NULL,
  -- what a workshop elsewhere asks for it, who said so and when
  quoted_minor INTEGER CHECK (quoted_minor BETWEEN 1 AND 10000000000),
  quoted_by TEXT CHECK (length(quoted_by) BETWEEN 1 AND 60),
  quoted_on TEXT CHECK (date(quoted_on) = quoted_on),
  UNIQUE (variant_id, name),
  CHECK ((quoted_minor IS NULL) = (quoted_by IS NULL)),
  CHECK ((quoted_minor IS NULL) = (quoted_on IS NULL))
) STRICT;

-- What the jobs of a year may cost, for a class of units, or for the whole store where none is named.
CREATE TABLE budget (
  id INTEGER NOT NULL PRIMARY KEY,
  year INTEGER NOT NULL CHECK (year BETWEEN 1900 AND 2199),
  class_id INTEGER REFERENCES unit_class ON DELETE CASCADE,
  amount_minor INTEGER NOT NULL CHECK (amount_minor BETWEEN 1 AND 1000000000000)
) STRICT;
CREATE UNIQUE INDEX budget_once ON budget (year, ifnull(class_id, 0));

CREATE TABLE task (
  id INTEGER NOT NULL PRIMARY KEY,
  service_id INTEGER NOT NULL REFERENCES service,
  name TEXT NOT NULL,
  action TEXT NOT NULL CHECK (action IN ('CHANGE_FLUID', 'REPLACE', 'INSPECT')),
  compartment_id INTEGER REFERENCES compartment,
  position_id INTEGER REFERENCES position,
  meter_name TEXT,
  interval_tenths INTEGER CHECK (interval_tenths BETWEEN 1 AND 10000000),
  interval_months INTEGER CHECK (interval_months BETWEEN 1 AND 240),
  first_interval_tenths INTEGER CHECK (first_interval_tenths BETWEEN 1 AND 10000000),
  first_interval_months INTEGER CHECK (first_interval_months BETWEEN 1 AND 240),
  severity_e4 INTEGER NOT NULL DEFAULT 10000 CHECK (severity_e4 BETWEEN 1000 AND 10000),
  severity_reason TEXT NOT NULL,
  -- instead of an interval: with every n-th occurrence of another task, or so many days before a
  -- day of the year or before each lay-up
  with_task_id INTEGER REFERENCES task DEFERRABLE INITIALLY DEFERRED,
  every_nth INTEGER CHECK (every_nth BETWEEN 2 AND 50),
  season_start TEXT CHECK (length(season_start) = 5),
  before_lay_up INTEGER NOT NULL DEFAULT 0 CHECK (before_lay_up IN (0, 1)),
  -- or on the day on which a unit comes back from one
  after_lay_up INTEGER NOT NULL DEFAULT 0 CHECK (after_lay_up IN (0, 1)),
  lead_days INTEGER CHECK (lead_days BETWEEN 0 AND 120),
  -- what to mind in the work, such as how the machine's own interval is reset
  steps TEXT NOT NULL DEFAULT '' CHECK (length(steps) <= 200),
  -- what may hurt in it beside what its fluid brings: codes of hazard texts with ", " between them
  hazards TEXT NOT NULL DEFAULT '',
  -- an inspection may ask for a value, in base units: µm, Pa, tenths of °C, mN·m, mV, or a count
  value_kind TEXT CHECK (value_kind IN ('LENGTH', 'PRESSURE', 'TEMPERATURE', 'TORQUE', 'VOLTAGE', 'COUNT')),
  value_low INTEGER CHECK (value_low BETWEEN -10000 AND 1000000000000),
  value_high INTEGER CHECK (value_high BETWEEN -10000 AND 1000000000000),
  UNIQUE (service_id, name),
  CHECK (severity_e4 = 10000 OR severity_reason <> ''),
  CHECK ((compartment_id IS NOT NULL) + (position_id IS NOT NULL) = 1),
  CHECK (action <> 'CHANGE_FLUID' OR compartment_id IS NOT NULL),
  CHECK (action <> 'REPLACE' OR position_id IS NOT NULL),
  CHECK (value_kind IS NULL OR action = 'INSPECT'),
  CHECK ((value_kind IS NULL) = (value_low IS NULL AND value_high IS NULL)),
  CHECK (value_low <= value_high),
  CHECK ((interval_tenths IS NOT NULL OR interval_months IS NOT NULL) + (with_task_id IS NOT NULL) + (season_start IS NOT NULL) + before_lay_up + after_lay_up = 1),
  CHECK ((with_task_id IS NULL) = (every_nth IS NULL)),
  CHECK ((season_start IS NOT NULL OR before_lay_up = 1) = (lead_days IS NOT NULL)),
  CHECK ((meter_name IS NOT NULL) = (interval_tenths IS NOT NULL)),
  CHECK (first_interval_tenths IS NULL OR interval_tenths IS NOT NULL),
  CHECK (first_interval_months IS NULL OR interval_tenths IS NOT NULL OR interval_months IS NOT NULL)
) STRICT;
CREATE INDEX task_with ON task (with_task_id);
CREATE TRIGGER task_led_leads_none BEFORE INSERT ON task
WHEN NEW.with_task_id = NEW.id
  OR EXISTS (SELECT 1 FROM task WHERE id = NEW.with_task_id AND with_task_id IS NOT NULL)
  OR NEW.with_task_id IS NOT NULL AND EXISTS (SELECT 1 FROM task WHERE with_task_id = NEW.id)
BEGIN SELECT RAISE(ABORT, 'a task that is led leads none'); END;
CREATE TRIGGER task_still_leads_none BEFORE UPDATE OF with_task_id ON task
WHEN NEW.with_task_id = NEW.id
  OR EXISTS (SELECT 1 FROM task WHERE id = NEW.with_task_id AND with_task_id IS NOT NULL)
  OR NEW.with_task_id IS NOT NULL AND EXISTS (SELECT 1 FROM task WHERE with_task_id = NEW.id)
BEGIN SELECT RAISE(ABORT, 'a task that is led leads none'); END;

-- A longer or shorter interval while a fluid of a class is in the compartment.
CREATE TABLE fluid_interval (
  id INTEGER NOT NULL PRIMARY KEY,
  task_id INTEGER NOT NULL REFERENCES task,
  fluid_class TEXT NOT NULL CHECK (length(fluid_class) BETWEEN 1 AND 40),
  interval_tenths INTEGER CHECK (interval_tenths BETWEEN 1 AND 10000000),
  interval_months INTEGER CHECK (interval_months BETWEEN 1 AND 240),
  UNIQUE (task_id, fluid_class),
  CHECK (interval_tenths IS NOT NULL OR interval_months IS NOT NULL)
) STRICT;

-- How one unit differs from its variant, each with its reason.
CREATE TABLE deviation (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  compartment_id INTEGER REFERENCES compartment,
  position_id INTEGER REFERENCES position,
  task_id INTEGER REFERENCES task,
  change TEXT NOT NULL CHECK (change IN ('ABSENT', 'ITEM', 'CAPACITY', 'TORQUE', 'INTERVAL')),
  condition TEXT CHECK (condition IN ('DRY', 'WITH_FILTER', 'WITHOUT_FILTER')),
  volume_ul INTEGER CHECK (volume_ul BETWEEN 1 AND 100000000000),
  high_ul INTEGER CHECK (high_ul BETWEEN 1 AND 100000000000),
  item_id INTEGER REFERENCES item,
  torque_low_mnm INTEGER CHECK (torque_low_mnm BETWEEN 1 AND 10000000),
  torque_high_mnm INTEGER CHECK (torque_high_mnm BETWEEN torque_low_mnm AND 10000000),
  interval_tenths INTEGER CHECK (interval_tenths BETWEEN 1 AND 10000000),
  interval_months INTEGER CHECK (interval_months BETWEEN 1 AND 240),
  source TEXT NOT NULL CHECK (source IN ('UNIT', 'LEARNED')),
  -- a person's words; what is learned needs none
  reason TEXT NOT NULL CHECK (length(reason) <= 200),
  since_on TEXT NOT NULL CHECK (date(since_on) = since_on),
  actor TEXT NOT NULL,
  CHECK (source = 'LEARNED' OR reason <> ''),
  CHECK ((compartment_id IS NOT NULL) + (position_id IS NOT NULL) + (task_id IS NOT NULL) = 1),
  CHECK ((change = 'CAPACITY') = (volume_ul IS NOT NULL)),
  CHECK (high_ul > volume_ul),
  CHECK ((change = 'CAPACITY') = (condition IS NOT NULL)),
  CHECK (change <> 'CAPACITY' OR compartment_id IS NOT NULL),
  CHECK ((change = 'ITEM') = (item_id IS NOT NULL)),
  CHECK (change <> 'ITEM' OR task_id IS NULL),
  CHECK ((change = 'TORQUE') = (torque_low_mnm IS NOT NULL)),
  CHECK ((change = 'TORQUE') = (torque_high_mnm IS NOT NULL)),
  CHECK (change <> 'TORQUE' OR position_id IS NOT NULL),
  CHECK ((change = 'INTERVAL') = (interval_tenths IS NOT NULL OR interval_months IS NOT NULL)),
  CHECK (change <> 'INTERVAL' OR task_id IS NOT NULL)
) STRICT;
CREATE UNIQUE INDEX deviation_once ON deviation (unit_id, ifnull(compartment_id, 0), ifnull(position_id, 0), ifnull(task_id, 0), change, ifnull(condition, ''));

CREATE TABLE tray (
  id INTEGER NOT NULL PRIMARY KEY,
  number TEXT NOT NULL UNIQUE,
  -- none for what the workshop itself uses
  unit_id INTEGER REFERENCES unit,
  -- where it is laid
  satellite_id INTEGER REFERENCES satellite,
  purpose TEXT NOT NULL CHECK (purpose IN ('SERVICE', 'BREAKDOWN', 'LEAK', 'TOP_UP', 'SUPPLIES')),
  title TEXT NOT NULL,
  planned_on TEXT NOT NULL CHECK (date(planned_on) = planned_on),
  state TEXT NOT NULL CHECK (state IN ('OPEN', 'HANDED_OVER', 'BACK', 'CLEARED')),
  mechanic TEXT,
  handed_over_on TEXT CHECK (date(handed_over_on) = handed_over_on),
  back_on TEXT CHECK (date(back_on) = back_on),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  CHECK ((unit_id IS NULL) = (purpose = 'SUPPLIES')),
  CHECK ((state IN ('HANDED_OVER', 'BACK')) = (mechanic IS NOT NULL)),
  CHECK ((state IN ('HANDED_OVER', 'BACK')) = (handed_over_on IS NOT NULL)),
  CHECK ((state = 'BACK') = (back_on IS NOT NULL)),
  CHECK (back_on >= handed_over_on)
) STRICT;
CREATE INDEX tray_unit ON tray (unit_id);
CREATE INDEX tray_state ON tray (state, planned_on);

CREATE TABLE tray_task (
  id INTEGER NOT NULL PRIMARY KEY,
  tray_id INTEGER NOT NULL REFERENCES tray,
  task_id INTEGER NOT NULL REFERENCES task,
  -- what became of it, once the tray is back
  outcome TEXT CHECK (outcome IN ('DONE', 'NOT_DONE')),
  why TEXT NOT NULL DEFAULT '' CHECK (length(why) <= 200),
  again_on TEXT CHECK (date(again_on) = again_on),
  UNIQUE (tray_id, task_id),
  CHECK ((outcome IS 'NOT_DONE') = (why <> '')),
  CHECK (again_on IS NULL OR outcome IS 'NOT_DONE')
) STRICT;
CREATE INDEX tray_task_task ON tray_task (task_id);

-- Somebody signed for a fluid that the spec does not allow without a word. Lines are added and never
-- changed.
CREATE TABLE sign_off (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  item_id INTEGER NOT NULL REFERENCES item,
  tray_id INTEGER REFERENCES tray,
  verdict TEXT NOT NULL CHECK (length(verdict) BETWEEN 1 AND 500),
  signed_by TEXT NOT NULL CHECK (length(signed_by) BETWEEN 1 AND 60),
  why TEXT NOT NULL CHECK (length(why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX sign_off_unit ON sign_off (unit_id);

-- Litres added between two drains; a wrong line is withdrawn by a later one that names it.
CREATE TABLE top_up (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  item_id INTEGER NOT NULL REFERENCES item,
  volume_ul INTEGER NOT NULL CHECK (volume_ul BETWEEN 1 AND 100000000000),
  added_on TEXT NOT NULL CHECK (date(added_on) = added_on),
  sign_off_id INTEGER REFERENCES sign_off,
  withdraws INTEGER UNIQUE REFERENCES top_up,
  note TEXT NOT NULL CHECK (length(note) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX top_up_unit ON top_up (unit_id, compartment_id);

CREATE TABLE tray_line (
  id INTEGER NOT NULL PRIMARY KEY,
  tray_id INTEGER NOT NULL REFERENCES tray,
  item_id INTEGER NOT NULL REFERENCES item,
  place TEXT NOT NULL,
  -- why it is there; each reason has its own columns and no others
  reason TEXT NOT NULL CHECK (
    reason IN (
      'FILL', 'FLUSH', 'PART', 'NEW_SEAL', 'NEW_PLUG', 'ON_INSPECTION', 'INSURANCE', 'KIT', 'NOT_IN_BOX',
      'WANTED', 'BY_HAND')),
  -- of what is taken: new, unless a person takes a used one
  lot_condition TEXT NOT NULL DEFAULT 'NEW' CHECK (lot_condition IN ('NEW', 'USED_GOOD')),
  -- what to watch for at the position, as a person wrote it
  note TEXT NOT NULL DEFAULT '' CHECK (length(note) <= 200),
  condition TEXT CHECK (condition IN ('DRY', 'WITH_FILTER', 'WITHOUT_FILTER')),
  first_pour_ul INTEGER CHECK (first_pour_ul BETWEEN 0 AND 1000000000000),
  reserve_ul INTEGER CHECK (reserve_ul BETWEEN 0 AND 1000000000000),
  -- poured into the new filter before it goes on
  pre_fill_ul INTEGER CHECK (pre_fill_ul BETWEEN 0 AND 1000000000000),
  -- of a fill that is mixed with water: the part of concentrate, the water, its freeze point, and
  -- whether that is the general one of its glycol
  mix_share_e4 INTEGER CHECK (mix_share_e4 BETWEEN 1 AND 10000),
  mix_water_ul INTEGER CHECK (mix_water_ul BETWEEN 0 AND 1000000000000),
  mix_tenths_c INTEGER CHECK (mix_tenths_c BETWEEN -1000 AND 0),
  mix_general INTEGER CHECK (mix_general IN (0, 1)),
  kit_lines INTEGER CHECK (kit_lines BETWEEN 1 AND 1000),
  box_of_id INTEGER REFERENCES item,
  wanted_micro INTEGER NOT NULL CHECK (wanted_micro BETWEEN 1 AND 1000000000000),
  laid_micro INTEGER NOT NULL DEFAULT 0 CHECK (laid_micro BETWEEN 0 AND wanted_micro),
  position_id INTEGER REFERENCES position,
  compartment_id INTEGER REFERENCES compartment,
  sign_off_id INTEGER REFERENCES sign_off,
  -- a substitution is visible: what was asked for, and why something else lies here; another pack
  -- of the same fluid needs no reason
  instead_of_id INTEGER REFERENCES item,
  instead_why TEXT NOT NULL DEFAULT '' CHECK (length(instead_why) <= 200),
  -- the task of the service that asks for it
  task_id INTEGER REFERENCES task,
  -- why what is not laid of it was left out
  left_out_why TEXT CHECK (length(left_out_why) BETWEEN 1 AND 200),
  CHECK ((reason = 'FILL') = (condition IS NOT NULL)),
  CHECK ((reason = 'FILL') = (first_pour_ul IS NOT NULL)),
  CHECK ((reason = 'FILL') = (reserve_ul IS NOT NULL)),
  CHECK ((reason = 'FILL') = (pre_fill_ul IS NOT NULL)),
  CHECK (mix_share_e4 IS NULL OR reason = 'FILL'),
  CHECK ((mix_share_e4 IS NULL) = (mix_water_ul IS NULL)),
  CHECK ((mix_share_e4 IS NULL) = (mix_general IS NULL)),
  CHECK (mix_tenths_c IS NULL OR mix_share_e4 IS NOT NULL),
  CHECK ((reason = 'KIT') = (kit_lines IS NOT NULL)),
  CHECK ((reason = 'NOT_IN_BOX') = (box_of_id IS NOT NULL)),
  CHECK (
    note = ''
    OR reason IN ('PART', 'NEW_SEAL', 'NEW_PLUG', 'ON_INSPECTION', 'INSURANCE', 'BY_HAND')),
  CHECK (instead_of_id IS NOT NULL OR instead_why = '')
) STRICT;
CREATE INDEX tray_line_tray ON tray_line (tray_id);

-- The policies that made a line what it is, as they stood when it came onto the tray.
CREATE TABLE line_policy (
  id INTEGER NOT NULL PRIMARY KEY,
  line_id INTEGER NOT NULL REFERENCES tray_line ON DELETE CASCADE,
  school TEXT NOT NULL CHECK (length(school) BETWEEN 1 AND 60),
  number_e4 INTEGER CHECK (number_e4 BETWEEN 1 AND 1000000),
  level TEXT NOT NULL CHECK (level IN ('STORE', 'UNIT_CLASS', 'UNIT', 'COMPARTMENT', 'POSITION')),
  UNIQUE (line_id, school)
) STRICT;

-- The tasks that ask for what a kit on a tray covers.
CREATE TABLE kit_task (
  id INTEGER NOT NULL PRIMARY KEY,
  line_id INTEGER NOT NULL REFERENCES tray_line ON DELETE CASCADE,
  task_id INTEGER NOT NULL REFERENCES task,
  UNIQUE (line_id, task_id)
) STRICT;

-- what somebody found wrong with a machine, until it is settled
CREATE TABLE finding (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  words TEXT NOT NULL CHECK (length(words) BETWEEN 1 AND 200),
  found_on TEXT NOT NULL CHECK (date(found_on) = found_on),
  -- the job that found it
  tray_id INTEGER REFERENCES tray,
  state TEXT NOT NULL CHECK (state IN ('OPEN', 'WATCHED', 'WANTED', 'CLOSED')),
  why TEXT NOT NULL DEFAULT '' CHECK (length(why) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((state IN ('WATCHED', 'CLOSED')) = (why <> ''))
) STRICT;
CREATE INDEX finding_unit ON finding (unit_id);
-- a part that is wanted by itself, until it is handed over with a tray or dropped
CREATE TABLE wanted_part (
  id INTEGER NOT NULL PRIMARY KEY,
  -- none for what the workshop itself uses
  unit_id INTEGER REFERENCES unit,
  item_id INTEGER NOT NULL REFERENCES item,
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN 1 AND 1000000000000),
  place TEXT NOT NULL CHECK (length(place) <= 60),
  position_id INTEGER REFERENCES position,
  compartment_id INTEGER REFERENCES compartment,
  -- none is as soon as can be
  needed_on TEXT CHECK (date(needed_on) = needed_on),
  -- why: a finding, a line that went out without it, or what somebody asked for
  finding_id INTEGER REFERENCES finding,
  left_out_line_id INTEGER UNIQUE REFERENCES tray_line,
  asked_why TEXT CHECK (length(asked_why) BETWEEN 1 AND 200),
  -- the task that it was left out of
  task_id INTEGER REFERENCES task,
  -- the line that brings it
  line_id INTEGER UNIQUE REFERENCES tray_line,
  dropped_why TEXT CHECK (length(dropped_why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((finding_id IS NOT NULL) + (left_out_line_id IS NOT NULL) + (asked_why IS NOT NULL) = 1),
  CHECK (task_id IS NULL OR left_out_line_id IS NOT NULL),
  CHECK (line_id IS NULL OR dropped_why IS NULL)
) STRICT;
CREATE INDEX wanted_part_unit ON wanted_part (unit_id);
CREATE INDEX tray_line_item ON tray_line (item_id);

-- A record that was wrong is withdrawn by a later line that names it.
CREATE TABLE task_record (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  task_id INTEGER NOT NULL REFERENCES task,
  done_on TEXT NOT NULL CHECK (date(done_on) = done_on),
  life_tenths INTEGER CHECK (life_tenths BETWEEN 0 AND 100000000),
  tray_id INTEGER REFERENCES tray,
  withdraws INTEGER UNIQUE REFERENCES task_record,
  reason TEXT NOT NULL,
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX task_record_task ON task_record (unit_id, task_id);
CREATE INDEX task_record_tray ON task_record (tray_id);

-- What proves that work was done on a machine: a photo or a document. One that was kept in error
-- stays, with the reason, and without what it held.
CREATE TABLE receipt (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  done_on TEXT NOT NULL CHECK (date(done_on) = done_on),
  note TEXT NOT NULL CHECK (length(note) BETWEEN 1 AND 200),
  media_type TEXT NOT NULL CHECK (media_type IN ('image/jpeg', 'application/pdf')),
  content BLOB CHECK (length(content) BETWEEN 1 AND 2097152),
  withdrawn_why TEXT CHECK (length(withdrawn_why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((content IS NULL) = (withdrawn_why IS NOT NULL))
) STRICT;
CREATE INDEX receipt_unit ON receipt (unit_id);

-- What is ordered of one supplier at once; how far it is follows from its lines.
CREATE TABLE supply_order (
  id INTEGER NOT NULL PRIMARY KEY,
  supplier_id INTEGER NOT NULL REFERENCES supplier,
  note TEXT NOT NULL CHECK (length(note) <= 200),
  made_on TEXT NOT NULL CHECK (date(made_on) = made_on),
  sent_on TEXT CHECK (date(sent_on) = sent_on AND sent_on >= made_on),
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0)
) STRICT;
CREATE INDEX supply_order_supplier ON supply_order (supplier_id);

CREATE TABLE order_line (
  id INTEGER NOT NULL PRIMARY KEY,
  order_id INTEGER NOT NULL REFERENCES supply_order,
  item_id INTEGER NOT NULL REFERENCES item,
  order_number TEXT NOT NULL CHECK (length(order_number) <= 60),
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN 1 AND 1000000000000),
  pack_micro INTEGER NOT NULL CHECK (pack_micro BETWEEN 1 AND 1000000000000),
  -- as it was asked for, and what the supplier said since
  price_e4 INTEGER NOT NULL CHECK (price_e4 BETWEEN 0 AND 1000000000000),
  said_price_e4 INTEGER CHECK (said_price_e4 BETWEEN 0 AND 1000000000000),
  -- when it is to be there; none while it is not sent
  promised_on TEXT CHECK (date(promised_on) = promised_on),
  confirmed INTEGER NOT NULL DEFAULT 0 CHECK (confirmed IN (0, 1)),
  -- what will not come any more, and why
  given_up_micro INTEGER NOT NULL DEFAULT 0 CHECK (given_up_micro BETWEEN 0 AND quantity_micro),
  given_up_why TEXT NOT NULL DEFAULT '' CHECK (length(given_up_why) <= 200),
  UNIQUE (order_id, item_id),
  CHECK ((given_up_micro = 0) = (given_up_why = ''))
) STRICT;
CREATE INDEX order_line_item ON order_line (item_id);

-- What came of a line: the movement that took it in. One that is corrected counts for nothing.
CREATE TABLE delivery_line (
  id INTEGER NOT NULL PRIMARY KEY,
  order_line_id INTEGER NOT NULL REFERENCES order_line,
  movement_id INTEGER NOT NULL UNIQUE REFERENCES movement,
  delivery_note TEXT NOT NULL CHECK (length(delivery_note) <= 80),
  received_on TEXT NOT NULL CHECK (date(received_on) = received_on)
) STRICT;
CREATE INDEX delivery_line_line ON delivery_line (order_line_id);

-- What a supplier said of an order, as it came; the same message is taken in only once.
CREATE TABLE order_answer (
  id INTEGER NOT NULL PRIMARY KEY,
  -- none for what could not be used
  order_id INTEGER REFERENCES supply_order,
  order_line_id INTEGER REFERENCES order_line,
  message TEXT NOT NULL CHECK (length(message) BETWEEN 1 AND 80),
  kind TEXT NOT NULL CHECK (kind IN ('CONFIRMED', 'SHIPPED', 'SUPERSEDED', 'CANCELLED', 'NOT_USED')),
  quantity_micro INTEGER CHECK (quantity_micro BETWEEN 0 AND 1000000000000),
  price_e4 INTEGER CHECK (price_e4 BETWEEN 0 AND 1000000000000),
  arrives_on TEXT CHECK (date(arrives_on) = arrives_on),
  words TEXT NOT NULL CHECK (length(words) <= 200),
  -- true if it came too late to change anything
  too_late INTEGER NOT NULL CHECK (too_late IN (0, 1)),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((kind = 'NOT_USED') = (order_line_id IS NULL)),
  CHECK (order_line_id IS NULL OR order_id IS NOT NULL)
) STRICT;
CREATE INDEX order_answer_message ON order_answer (message);
CREATE INDEX order_answer_order ON order_answer (order_id);

-- What was wrong with a delivery and is to be put right by the supplier.
CREATE TABLE claim (
  id INTEGER NOT NULL PRIMARY KEY,
  order_line_id INTEGER NOT NULL REFERENCES order_line,
  kind TEXT NOT NULL CHECK (kind IN ('SHORT', 'OVER', 'WRONG', 'DAMAGED')),
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN 1 AND 1000000000000),
  words TEXT NOT NULL CHECK (length(words) <= 200),
  opened_on TEXT NOT NULL CHECK (date(opened_on) = opened_on),
  outcome TEXT CHECK (outcome IN ('CREDITED', 'REPLACED', 'SENT_BACK', 'DROPPED')),
  settled_on TEXT CHECK (date(settled_on) = settled_on),
  settled_why TEXT NOT NULL DEFAULT '' CHECK (length(settled_why) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((outcome IS NULL) = (settled_on IS NULL))
) STRICT;
CREATE INDEX claim_line ON claim (order_line_id);

-- What a supplier charged for deliveries, and what it changed of their worth.
CREATE TABLE invoice (
  id INTEGER NOT NULL PRIMARY KEY,
  order_id INTEGER NOT NULL REFERENCES supply_order,
  number TEXT NOT NULL CHECK (length(number) BETWEEN 1 AND 40),
  dated_on TEXT NOT NULL CHECK (date(dated_on) = dated_on),
  freight_minor INTEGER NOT NULL CHECK (freight_minor BETWEEN 0 AND 100000000000),
  withdrawn_why TEXT CHECK (length(withdrawn_why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX invoice_order ON invoice (order_id);

CREATE TABLE invoice_line (
  id INTEGER NOT NULL PRIMARY KEY,
  invoice_id INTEGER NOT NULL REFERENCES invoice,
  movement_id INTEGER NOT NULL REFERENCES movement,
  -- none where only freight was shared out
  charged_minor INTEGER CHECK (charged_minor BETWEEN 0 AND 100000000000),
  difference_minor INTEGER NOT NULL CHECK (difference_minor BETWEEN -100000000000000 AND 100000000000000),
  UNIQUE (invoice_id, movement_id)
) STRICT;
CREATE INDEX invoice_line_movement ON invoice_line (movement_id);

-- What a fluid is drawn from: a tank, tote or drum on a stand, at a bin of its own.
CREATE TABLE tank (
  id INTEGER NOT NULL PRIMARY KEY,
  name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 40),
  bin_id INTEGER NOT NULL UNIQUE REFERENCES bin,
  -- what it holds until it is emptied and cleaned
  item_id INTEGER NOT NULL REFERENCES item,
  shape TEXT NOT NULL CHECK (shape IN ('UPRIGHT', 'BOX', 'LYING', 'LYING_WITH_HEADS', 'TABLE')),
  diameter_um INTEGER CHECK (diameter_um BETWEEN 10000 AND 20000000),
  length_um INTEGER CHECK (length_um BETWEEN 10000 AND 20000000),
  width_um INTEGER CHECK (width_um BETWEEN 10000 AND 20000000),
  height_um INTEGER CHECK (height_um BETWEEN 10000 AND 20000000),
  -- the lines of a strapping table, dip in mm and litres
  straps TEXT CHECK (length(straps) BETWEEN 1 AND 40000),
  safe_fill_percent INTEGER NOT NULL CHECK (safe_fill_percent BETWEEN 50 AND 98),
  dip_error_um INTEGER NOT NULL CHECK (dip_error_um BETWEEN 1 AND 50000),
  gauged INTEGER NOT NULL CHECK (gauged IN (0, 1)),
  version INTEGER NOT NULL DEFAULT 0,
  CHECK ((shape IN ('UPRIGHT', 'LYING', 'LYING_WITH_HEADS')) = (diameter_um IS NOT NULL)),
  CHECK ((shape IN ('BOX', 'LYING', 'LYING_WITH_HEADS')) = (length_um IS NOT NULL)),
  CHECK ((shape = 'BOX') = (width_um IS NOT NULL)),
  CHECK ((shape IN ('UPRIGHT', 'BOX')) = (height_um IS NOT NULL)),
  CHECK ((shape = 'TABLE') = (straps IS NOT NULL))
) STRICT;

-- How high a fluid stood in a tank, by stick or by gauge.
CREATE TABLE tank_dip (
  id INTEGER NOT NULL PRIMARY KEY,
  tank_id INTEGER NOT NULL REFERENCES tank,
  dipped_at TEXT NOT NULL,
  height_um INTEGER NOT NULL CHECK (height_um BETWEEN 0 AND 20000000),
  temperature_tenths INTEGER CHECK (temperature_tenths BETWEEN -400 AND 650),
  by_gauge INTEGER NOT NULL CHECK (by_gauge IN (0, 1)),
  -- why the difference to the book was closed at it
  agreed_why TEXT CHECK (length(agreed_why) BETWEEN 1 AND 200),
  withdrawn_why TEXT CHECK (length(withdrawn_why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK (agreed_why IS NULL OR withdrawn_why IS NULL)
) STRICT;
CREATE INDEX tank_dip_at ON tank_dip (tank_id, dipped_at);

-- What the meter at a tank's tap counted. It says how much ran, not where it went.
CREATE TABLE metered_pour (
  id INTEGER NOT NULL PRIMARY KEY,
  tank_id INTEGER NOT NULL REFERENCES tank,
  poured_at TEXT NOT NULL,
  volume_ul INTEGER NOT NULL CHECK (volume_ul BETWEEN 1 AND 1000000000000),
  recorded_at TEXT NOT NULL,
  UNIQUE (tank_id, poured_at)
) STRICT;

-- That a tank was emptied and cleaned, after which it may hold something else.
CREATE TABLE tank_cleaning (
  id INTEGER NOT NULL PRIMARY KEY,
  tank_id INTEGER NOT NULL REFERENCES tank,
  held_item_id INTEGER NOT NULL REFERENCES item,
  note TEXT NOT NULL CHECK (length(note) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX tank_cleaning_tank ON tank_cleaning (tank_id);

-- How warm a delivery was, by its note.
CREATE TABLE delivery_temperature (
  movement_id INTEGER NOT NULL PRIMARY KEY REFERENCES movement,
  temperature_tenths INTEGER NOT NULL CHECK (temperature_tenths BETWEEN -400 AND 650)
) STRICT;

-- What fluids are poured with.
CREATE TABLE dispenser (
  id INTEGER NOT NULL PRIMARY KEY,
  name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 40),
  kind TEXT NOT NULL CHECK (kind IN ('JUG', 'FUNNEL', 'PUMP')),
  retired INTEGER NOT NULL DEFAULT 0 CHECK (retired IN (0, 1))
) STRICT;

-- That a fluid went through one, or, without a product, that it was cleaned.
CREATE TABLE dispenser_use (
  id INTEGER NOT NULL PRIMARY KEY,
  dispenser_id INTEGER NOT NULL REFERENCES dispenser,
  product_id INTEGER REFERENCES product,
  tray_id INTEGER REFERENCES tray,
  actor TEXT NOT NULL,
  used_at TEXT NOT NULL,
  CHECK (tray_id IS NULL OR product_id IS NOT NULL)
) STRICT;
CREATE INDEX dispenser_use_dispenser ON dispenser_use (dispenser_id);
CREATE INDEX dispenser_use_tray ON dispenser_use (tray_id) WHERE tray_id IS NOT NULL;

-- A count of all bins. While it is open nothing moves, but for what tanks hold; what differs is booked at its end.
CREATE TABLE stocktake (
  id INTEGER NOT NULL PRIMARY KEY,
  begun_by TEXT NOT NULL,
  begun_at TEXT NOT NULL,
  how TEXT CHECK (how IN ('BOOKED', 'GIVEN_UP')),
  ended_by TEXT,
  ended_at TEXT,
  CHECK ((how IS NULL) = (ended_at IS NULL) AND (how IS NULL) = (ended_by IS NULL))
) STRICT;
CREATE UNIQUE INDEX stocktake_open ON stocktake (how IS NULL) WHERE how IS NULL;

-- What one place asks of another. Until it has come the book has it where it was, and nobody else
-- there is given it.
CREATE TABLE transfer (
  id INTEGER NOT NULL PRIMARY KEY,
  -- none: the main store
  from_satellite_id INTEGER REFERENCES satellite,
  to_satellite_id INTEGER REFERENCES satellite,
  state TEXT NOT NULL CHECK (state IN ('ASKED', 'SENT', 'CLOSED', 'DROPPED')),
  asked_by TEXT NOT NULL,
  asked_at TEXT NOT NULL,
  sent_by TEXT,
  sent_at TEXT,
  ended_at TEXT,
  version INTEGER NOT NULL DEFAULT 0 CHECK (version >= 0),
  CHECK (from_satellite_id IS NOT to_satellite_id),
  CHECK ((sent_by IS NULL) = (sent_at IS NULL)),
  CHECK ((state IN ('SENT', 'CLOSED')) = (sent_at IS NOT NULL)),
  CHECK ((state IN ('CLOSED', 'DROPPED')) = (ended_at IS NOT NULL))
) STRICT;
CREATE INDEX transfer_state ON transfer (state);

CREATE TABLE transfer_line (
  id INTEGER NOT NULL PRIMARY KEY,
  transfer_id INTEGER NOT NULL REFERENCES transfer,
  item_id INTEGER NOT NULL REFERENCES item,
  wanted_micro INTEGER NOT NULL CHECK (wanted_micro BETWEEN 1 AND 1000000000000),
  picked_micro INTEGER NOT NULL DEFAULT 0 CHECK (picked_micro BETWEEN 0 AND 1000000000000),
  came_micro INTEGER NOT NULL DEFAULT 0 CHECK (came_micro BETWEEN 0 AND 1000000000000),
  -- of what did not come: what had never left, and what is lost
  stayed_micro INTEGER NOT NULL DEFAULT 0 CHECK (stayed_micro BETWEEN 0 AND 1000000000000),
  lost_micro INTEGER NOT NULL DEFAULT 0 CHECK (lost_micro BETWEEN 0 AND 1000000000000),
  UNIQUE (transfer_id, item_id),
  CHECK (stayed_micro + lost_micro <= picked_micro)
) STRICT;
CREATE INDEX transfer_line_item ON transfer_line (item_id);

-- That an item was counted in a bin, whether it agreed or not. A first count waits for a second one,
-- which is booked or agrees; within a stocktake what differs waits for its end.
CREATE TABLE stock_count (
  id INTEGER NOT NULL PRIMARY KEY,
  item_id INTEGER NOT NULL REFERENCES item,
  bin_id INTEGER NOT NULL REFERENCES bin,
  counted_micro INTEGER NOT NULL CHECK (counted_micro BETWEEN 0 AND 1000000000000),
  book_micro INTEGER NOT NULL CHECK (book_micro BETWEEN 0 AND 1000000000000),
  state TEXT NOT NULL CHECK (state IN ('AGREED', 'FIRST', 'DIFFERS', 'BOOKED', 'OVERRULED', 'DROPPED')),
  reason TEXT NOT NULL CHECK (length(reason) <= 200),
  actor TEXT NOT NULL,
  counted_at TEXT NOT NULL,
  stocktake_id INTEGER REFERENCES stocktake,
  CHECK (state NOT IN ('DIFFERS', 'DROPPED') OR stocktake_id IS NOT NULL)
) STRICT;
CREATE INDEX stock_count_place ON stock_count (item_id, bin_id, counted_at);
CREATE INDEX stock_count_stocktake ON stock_count (stocktake_id) WHERE stocktake_id IS NOT NULL;
CREATE INDEX stock_count_day ON stock_count (counted_at);

-- Waste of one kind, as the place where the store is names it.
CREATE TABLE waste_stream (
  id INTEGER NOT NULL PRIMARY KEY,
  kind TEXT NOT NULL UNIQUE CHECK (kind IN ('USED_OIL', 'BIODEGRADABLE_OIL', 'COOLANT', 'BRAKE_FLUID', 'FILTERS', 'OILY_RAGS', 'EMPTY_CONTAINERS', 'AEROSOLS', 'BATTERIES', 'TYRES', 'CONTAMINATED_OIL')),
  name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 40),
  code TEXT NOT NULL CHECK (length(code) <= 20),
  measure TEXT NOT NULL CHECK (measure IN ('L', 'kg', 'pc')),
  limit_days INTEGER CHECK (limit_days BETWEEN 1 AND 3650)
) STRICT;

-- Where one stream is gathered.
CREATE TABLE waste_container (
  id INTEGER NOT NULL PRIMARY KEY,
  name TEXT NOT NULL UNIQUE CHECK (length(name) BETWEEN 1 AND 40),
  stream_id INTEGER NOT NULL REFERENCES waste_stream,
  capacity_micro INTEGER NOT NULL CHECK (capacity_micro BETWEEN 1 AND 1000000000000),
  place TEXT NOT NULL CHECK (length(place) <= 40),
  lead_days INTEGER NOT NULL CHECK (lead_days BETWEEN 0 AND 365)
) STRICT;

-- What was put into a container; from a tray, once of each kind.
CREATE TABLE waste_entry (
  id INTEGER NOT NULL PRIMARY KEY,
  container_id INTEGER NOT NULL REFERENCES waste_container,
  put_at TEXT NOT NULL,
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN 1 AND 1000000000000),
  tray_id INTEGER REFERENCES tray,
  origin TEXT NOT NULL CHECK (length(origin) <= 200),
  withdrawn_why TEXT CHECK (length(withdrawn_why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX waste_entry_container ON waste_entry (container_id);
CREATE INDEX waste_entry_tray ON waste_entry (tray_id);

-- A container was fetched away or emptied.
CREATE TABLE waste_collection (
  id INTEGER NOT NULL PRIMARY KEY,
  container_id INTEGER NOT NULL REFERENCES waste_container,
  collected_at TEXT NOT NULL,
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN 1 AND 1000000000000),
  left_micro INTEGER NOT NULL CHECK (left_micro BETWEEN 0 AND 1000000000000),
  carrier TEXT NOT NULL CHECK (length(carrier) BETWEEN 1 AND 60),
  document TEXT NOT NULL CHECK (length(document) BETWEEN 1 AND 40),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX waste_collection_container ON waste_collection (container_id);

-- What proves where it went. What was kept in error is let go, and that it was there stays.
CREATE TABLE waste_certificate (
  id INTEGER NOT NULL PRIMARY KEY,
  collection_id INTEGER NOT NULL REFERENCES waste_collection,
  media_type TEXT NOT NULL CHECK (media_type IN ('image/jpeg', 'application/pdf')),
  content BLOB CHECK (length(content) BETWEEN 1 AND 2097152),
  withdrawn_why TEXT CHECK (length(withdrawn_why) BETWEEN 1 AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((content IS NULL) = (withdrawn_why IS NOT NULL))
) STRICT;
CREATE INDEX waste_certificate_collection ON waste_certificate (collection_id);

-- What was expected to be used in a month, by the last forecast made before it began; what nothing was
-- expected of has no row.
CREATE TABLE kept_forecast (
  id INTEGER NOT NULL PRIMARY KEY,
  -- its first day
  month_on TEXT NOT NULL CHECK (date(month_on) = month_on AND month_on LIKE '%-01'),
  item_id INTEGER NOT NULL REFERENCES item,
  made_on TEXT NOT NULL CHECK (date(made_on) = made_on AND made_on < month_on),
  quantity_micro INTEGER NOT NULL CHECK (quantity_micro BETWEEN 1 AND 1000000000000),
  UNIQUE (month_on, item_id)
) STRICT;

-- What is to be handed to a supplier's system, once; the message tells it from any other.
CREATE TABLE outgoing (
  id INTEGER NOT NULL PRIMARY KEY,
  order_id INTEGER NOT NULL REFERENCES supply_order,
  message TEXT NOT NULL UNIQUE CHECK (length(message) BETWEEN 1 AND 80),
  made_at TEXT NOT NULL,
  handed_at TEXT,
  tries INTEGER NOT NULL DEFAULT 0 CHECK (tries >= 0)
) STRICT;
CREATE INDEX outgoing_order ON outgoing (order_id);

-- What an inspection found; the latest line on a record holds.
CREATE TABLE inspection (
  id INTEGER NOT NULL PRIMARY KEY,
  record_id INTEGER NOT NULL REFERENCES task_record,
  outcome TEXT NOT NULL CHECK (outcome IN ('SOUND', 'CLEANED', 'ADJUSTED', 'REPLACED', 'LEFT')),
  -- what was measured, and what it was once something had been done about it, in base units
  value_kind TEXT CHECK (value_kind IN ('LENGTH', 'PRESSURE', 'TEMPERATURE', 'TORQUE', 'VOLTAGE', 'COUNT')),
  value INTEGER CHECK (value BETWEEN -10000 AND 1000000000000),
  value_after INTEGER CHECK (value_after BETWEEN -10000 AND 1000000000000),
  note TEXT NOT NULL CHECK (length(note) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  CHECK ((value_kind IS NULL) = (value IS NULL)),
  CHECK (value_after IS NULL OR value IS NOT NULL)
) STRICT;
CREATE INDEX inspection_record ON inspection (record_id);

-- What was really poured; a wrong line is withdrawn by a later one that names it.
CREATE TABLE fill (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  compartment_id INTEGER NOT NULL REFERENCES compartment,
  item_id INTEGER NOT NULL REFERENCES item,
  condition TEXT NOT NULL CHECK (condition IN ('DRY', 'WITH_FILTER', 'WITHOUT_FILTER')),
  volume_ul INTEGER NOT NULL CHECK (volume_ul BETWEEN 1 AND 100000000000),
  filled_on TEXT NOT NULL CHECK (date(filled_on) = filled_on),
  tray_id INTEGER REFERENCES tray,
  withdraws INTEGER UNIQUE REFERENCES fill,
  note TEXT NOT NULL CHECK (length(note) <= 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX fill_unit ON fill (unit_id, compartment_id);
CREATE INDEX fill_tray ON fill (tray_id);

-- The next occurrence of a task moved by hand, until it is done or moved back (no day).
CREATE TABLE task_move (
  id INTEGER NOT NULL PRIMARY KEY,
  unit_id INTEGER NOT NULL REFERENCES unit,
  task_id INTEGER NOT NULL REFERENCES task,
  -- nothing where it is moved back to its own day
  moved_on TEXT CHECK (date(moved_on) = moved_on),
  reason TEXT NOT NULL CHECK (length(reason) BETWEEN (moved_on IS NOT NULL) AND 200),
  actor TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
CREATE INDEX task_move_task ON task_move (unit_id, task_id);

-- An address under which the planned services of a class are read without signing in.
CREATE TABLE calendar_feed (
  id INTEGER NOT NULL PRIMARY KEY,
  class_id INTEGER NOT NULL UNIQUE REFERENCES unit_class,
  secret TEXT NOT NULL UNIQUE CHECK (length(secret) = 32)
) STRICT;

CREATE TRIGGER reading_counts AFTER INSERT ON reading BEGIN
  UPDATE meter SET changes = changes + 1 WHERE id = NEW.meter_id;
END;
CREATE TRIGGER reading_ruling_counts AFTER INSERT ON reading_ruling BEGIN
  UPDATE meter SET changes = changes + 1 WHERE id = (SELECT meter_id FROM reading WHERE id = NEW.reading_id);
END;
CREATE TRIGGER meter_replacement_counts AFTER INSERT ON meter_replacement BEGIN
  UPDATE meter SET changes = changes + 1 WHERE id = (SELECT meter_id FROM reading WHERE id = NEW.end_reading_id);
END;

CREATE TRIGGER movement_stays BEFORE UPDATE ON movement BEGIN SELECT RAISE(ABORT, 'movements are never changed'); END;
CREATE TRIGGER movement_remains BEFORE DELETE ON movement BEGIN SELECT RAISE(ABORT, 'movements are never deleted'); END;
CREATE TRIGGER delivery_line_stays BEFORE UPDATE ON delivery_line BEGIN SELECT RAISE(ABORT, 'deliveries are never changed'); END;
CREATE TRIGGER delivery_line_remains BEFORE DELETE ON delivery_line BEGIN SELECT RAISE(ABORT, 'deliveries are never deleted'); END;
CREATE TRIGGER order_answer_stays BEFORE UPDATE ON order_answer BEGIN SELECT RAISE(ABORT, 'answers of suppliers are never changed'); END;
CREATE TRIGGER order_answer_remains BEFORE DELETE ON order_answer BEGIN SELECT RAISE(ABORT, 'answers of suppliers are never deleted'); END;
CREATE TRIGGER reading_stays BEFORE UPDATE ON reading BEGIN SELECT RAISE(ABORT, 'readings are never changed'); END;
CREATE TRIGGER reading_remains BEFORE DELETE ON reading BEGIN SELECT RAISE(ABORT, 'readings are never deleted'); END;
CREATE TRIGGER reading_ruling_stays BEFORE UPDATE ON reading_ruling BEGIN SELECT RAISE(ABORT, 'rulings are never changed'); END;
CREATE TRIGGER reading_ruling_remains BEFORE DELETE ON reading_ruling BEGIN SELECT RAISE(ABORT, 'rulings are never deleted'); END;
CREATE TRIGGER meter_replacement_stays BEFORE UPDATE ON meter_replacement BEGIN SELECT RAISE(ABORT, 'replacements are never changed'); END;
CREATE TRIGGER meter_replacement_remains BEFORE DELETE ON meter_replacement BEGIN SELECT RAISE(ABORT, 'replacements are never deleted'); END;
CREATE TRIGGER task_record_stays BEFORE UPDATE ON task_record BEGIN SELECT RAISE(ABORT, 'records are never changed'); END;
CREATE TRIGGER task_record_remains BEFORE DELETE ON task_record BEGIN SELECT RAISE(ABORT, 'records are never deleted'); END;
CREATE TRIGGER inspection_stays BEFORE UPDATE ON inspection BEGIN SELECT RAISE(ABORT, 'inspections are never changed'); END;
CREATE TRIGGER inspection_remains BEFORE DELETE ON inspection BEGIN SELECT RAISE(ABORT, 'inspections are never deleted'); END;
CREATE TRIGGER fill_stays BEFORE UPDATE ON fill BEGIN SELECT RAISE(ABORT, 'fills are never changed'); END;
CREATE TRIGGER fill_remains BEFORE DELETE ON fill BEGIN SELECT RAISE(ABORT, 'fills are never deleted'); END;
CREATE TRIGGER task_move_stays BEFORE UPDATE ON task_move BEGIN SELECT RAISE(ABORT, 'moves are never changed'); END;
CREATE TRIGGER task_move_remains BEFORE DELETE ON task_move BEGIN SELECT RAISE(ABORT, 'moves are never deleted'); END;
CREATE TRIGGER statement_stays BEFORE UPDATE ON statement BEGIN SELECT RAISE(ABORT, 'statements are never changed'); END;
CREATE TRIGGER statement_remains BEFORE DELETE ON statement BEGIN SELECT RAISE(ABORT, 'statements are never deleted'); END;
CREATE TRIGGER withdrawal_stays BEFORE UPDATE ON withdrawal BEGIN SELECT RAISE(ABORT, 'withdrawals are never changed'); END;
CREATE TRIGGER withdrawal_remains BEFORE DELETE ON withdrawal BEGIN SELECT RAISE(ABORT, 'withdrawals are never deleted'); END;
CREATE TRIGGER reference_change_stays BEFORE UPDATE ON reference_change BEGIN SELECT RAISE(ABORT, 'reference changes are never changed'); END;
CREATE TRIGGER reference_change_remains BEFORE DELETE ON reference_change BEGIN SELECT RAISE(ABORT, 'reference changes are never deleted'); END;
CREATE TRIGGER sign_off_stays BEFORE UPDATE ON sign_off BEGIN SELECT RAISE(ABORT, 'sign-offs are never changed'); END;
CREATE TRIGGER sign_off_remains BEFORE DELETE ON sign_off BEGIN SELECT RAISE(ABORT, 'sign-offs are never deleted'); END;
CREATE TRIGGER top_up_stays BEFORE UPDATE ON top_up BEGIN SELECT RAISE(ABORT, 'top-ups are never changed'); END;
CREATE TRIGGER top_up_remains BEFORE DELETE ON top_up BEGIN SELECT RAISE(ABORT, 'top-ups are never deleted'); END;
CREATE TRIGGER audit_line_stays BEFORE UPDATE ON audit_line BEGIN SELECT RAISE(ABORT, 'audit lines are never changed'); END;
CREATE TRIGGER audit_line_remains BEFORE DELETE ON audit_line BEGIN SELECT RAISE(ABORT, 'audit lines are never deleted'); END;
CREATE TRIGGER request_stays BEFORE UPDATE ON request BEGIN SELECT RAISE(ABORT, 'requests are never changed'); END;
CREATE TRIGGER request_remains BEFORE DELETE ON request BEGIN SELECT RAISE(ABORT, 'requests are never deleted'); END;

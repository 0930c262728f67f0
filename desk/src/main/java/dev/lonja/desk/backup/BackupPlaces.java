package dev.lonja.desk.backup;

import java.nio.file.Path;
import java.util.Optional;

/**
 * Where copies of the store are kept.
 *
 * @param second a folder on another disk, if one was named
 */
public record BackupPlaces(Path first, Optional<Path> second) {}

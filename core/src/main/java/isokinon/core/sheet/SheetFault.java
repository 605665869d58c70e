package isokinon.core.sheet;

/**
 * One thing wrong with a sheet.
 *
 * @param path where in the sheet, for example {@code steps[2].after[0]}
 * @param line line of the file, from 1
 * @param message what is wrong and what would be right
 */
public record SheetFault(String path, int line, String message) {}

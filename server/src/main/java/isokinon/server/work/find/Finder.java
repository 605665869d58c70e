package isokinon.server.work.find;

import isokinon.core.value.Code;
import isokinon.server.db.find.FindMapper;
import isokinon.server.work.library.Sheets;
import isokinon.server.work.library.ShopLibrary;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Finds what a word or a code names. What is called just so stands first, then what begins with it,
 * then what has a word that begins with it, then what has it anywhere; of each in the order of
 * {@link Found.Kind}, as nearer to the work. Every word that is typed has to be found.
 */
@Service
public class Finder {

  /** More than these nobody reads. */
  private static final int MOST = 12;

  private final FindMapper rows;
  private final Sheets sheets;
  private final ShopLibrary library;

  Finder(FindMapper rows, Sheets sheets, ShopLibrary library) {
    this.rows = rows;
    this.sheets = sheets;
    this.library = library;
  }

  private record Candidate(
      Found.Kind kind, String code, String title, String beside, String leads, String also) {

    String all() {
      return (code + " " + title + " " + beside + " " + also).toLowerCase(Locale.ROOT);
    }
  }

  /** What is found; nothing where nothing was asked. */
  @Transactional(readOnly = true)
  public List<Found> find(String typed) {
    String wanted = typed.strip().toLowerCase(Locale.ROOT);
    if (wanted.isEmpty()) {
      return List.of();
    }
    List<String> words = Arrays.asList(wanted.split("\\s+"));
    return candidates(words.get(0))
        .filter(c -> words.stream().allMatch(c.all()::contains))
        .sorted(
            Comparator.comparingInt((Candidate c) -> rank(c, wanted))
                .thenComparing(Candidate::kind)
                .thenComparing(Candidate::code))
        .limit(MOST)
        .map(
            c ->
                new Found(
                    c.kind(), c.code(), c.title(), c.beside(), c.leads(), rank(c, wanted) == 0))
        .toList();
  }

  private Stream<Candidate> candidates(String word) {
    Stream<Candidate> recorded =
        rows.find(word.replaceAll("([\\\\%_])", "\\\\$1")).stream()
            .map(
                r ->
                    new Candidate(
                        Code.parse(Found.Kind.class, r.kind()).orElseThrow(),
                        r.code(),
                        r.title(),
                        r.beside(),
                        r.leads(),
                        ""));
    Stream<Candidate> fluids =
        library.materials().fluids().stream()
            .map(
                f ->
                    new Candidate(
                        Found.Kind.FLUID,
                        f.name(),
                        "",
                        "",
                        f.code(),
                        f.code() + " " + String.join(" ", f.aliases())));
    Stream<Candidate> materials =
        library.materials().materials().stream()
            .map(m -> new Candidate(Found.Kind.MATERIAL, m.code(), m.name(), "", m.code(), ""));
    Stream<Candidate> built =
        sheets.newest().stream()
            .map(s -> new Candidate(Found.Kind.SHEET, s.id(), s.title(), "", s.id(), ""));
    return Stream.of(recorded, fluids, materials, built).flatMap(s -> s);
  }

  private static int rank(Candidate c, String wanted) {
    String code = c.code().toLowerCase(Locale.ROOT);
    if (code.equals(wanted)) {
      return 0;
    }
    if (code.startsWith(wanted)) {
      return 1;
    }
    return (" " + c.all()).contains(" " + wanted) ? 2 : 3;
  }
}

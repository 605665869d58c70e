package isokinon.server.papers;

import isokinon.server.work.diary.Diary;
import java.time.temporal.ChronoUnit;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.stereotype.Component;

/** The diary as an iCalendar file (RFC 5545), for any calendar that reads one. */
@Component
public class CalendarFile {

  /** One event a job, at its moment in UTC; the same job keeps its id when it is moved. */
  public String of(List<Diary.Booked> entries) {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Isokinon//Diary//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    for (Diary.Booked e : entries) {
      VEvent event =
          new VEvent(
              e.from().toInstant().truncatedTo(ChronoUnit.SECONDS),
              e.to().toInstant().truncatedTo(ChronoUnit.SECONDS),
              "Rebuild " + e.pump() + ", " + e.who());
      event.add(new Uid("rebuild-" + e.pump() + "@isokinon"));
      event.add(new Description(e.because()));
      calendar.add(event);
    }
    return calendar.toString();
  }
}

package isokinon.core.plan;

import isokinon.core.sheet.Handling;
import isokinon.core.sheet.Sheet;
import java.util.List;

/** How the pump stands and what is in the hand once {@code done} is done. */
record Stance(int pose, int tool) {
  static Stance after(Sheet sheet, List<String> done, Names poses, Names tools) {
    int pose = poses.of(sheet.startPose());
    int tool = -1;
    for (String id : done) {
      Handling how = sheet.handling(id).orElse(Handling.PLAIN).during(true);
      pose = how.pose().isEmpty() ? pose : poses.of(how.pose());
      tool = how.toolInHand().map(tools::of).orElse(tool);
    }
    return new Stance(pose, tool);
  }
}

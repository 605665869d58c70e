package isokinon.core.sheet;

import java.util.List;

/**
 * A step that only building has: a press-up, a fill, a wait.
 *
 * @param id kebab-case, unique among steps and build-only steps
 * @param build the sentence
 * @param after build steps, or sides, that come before it, where they are in the plan
 * @param before build steps, or sides, that come after it, where they are in the plan
 * @param calledFor what calls for it
 * @param beside parts put together beside the pump, in their order along the axis
 * @param buildMinutes hands-on time, minutes
 * @param waitMinutes time to leave it alone afterwards, minutes
 * @param how pose, tools, fastening and checks
 */
public record BuildOnlyStep(
    String id,
    String build,
    List<String> after,
    List<String> before,
    CalledFor calledFor,
    List<String> beside,
    double buildMinutes,
    double waitMinutes,
    Handling how) {}

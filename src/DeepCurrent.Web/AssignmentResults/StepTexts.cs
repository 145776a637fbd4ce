using DeepCurrent.Core.AssignmentResults;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Readers;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;

namespace DeepCurrent.Web.AssignmentResults;

/// <summary>Finds a text for each step that suggests one: a harder one, or an easier one on the same subject.</summary>
public sealed class StepTexts(Desk desk, GivenStore earlier, ReaderStore readers, LibraryShelf library)
{
    /// <summary>Fathoms by which the next text is harder, or easier, than one of the reader's own depth.</summary>
    private const double Step = 3;

    public async Task<IReadOnlyList<NextStepView>> For(AssignmentRow assignment, IReadOnlyList<NextStep> steps)
    {
        if (!steps.Any(s => s.Kind is NextStepKind.Harder or NextStepKind.EasierFirst))
            return [.. steps.Select(s => new NextStepView(s, Same(assignment, s)))];
        var school = await desk.School();
        var cards = (await library.Cards())
            .Where(c => !c.Retired && c.Questions > 0 && c.SeenBy(school.Id, desk.Who.Adult))
            .ToList();
        var roster = (await readers.Roster(assignment.ClassId, await desk.Moment())).ToDictionary(
            r => r.Id,
            r => r.Depth
        );
        var had = await earlier.HadBy([.. steps.SelectMany(s => s.Readers).Distinct()]);
        var topic = cards.Find(c => c.Id == assignment.TextId)?.Topic;
        var cuts = new ZoneCuts(school.ZoneLow, school.ZoneHigh);

        StepText? Found(NextStep step, IEnumerable<Card> from, double by)
        {
            var those = step.Readers.Where(roster.ContainsKey).ToList();
            if (those.Count == 0)
                return null;
            var group = those.Select(r => new GroupReader(roster[r] + by, had[r].ToHashSet())).ToList();
            var found = GroupTexts.For([group], from, new HashSet<TextId>(), cuts, 1)[0];
            return found.Count == 0 ? null : new(found[0].Card.Id, found[0].Card.Title, found[0].Within);
        }

        StepText? TextOf(NextStep step) =>
            step.Kind switch
            {
                NextStepKind.Harder => Found(step, cards, Step),
                NextStepKind.EasierFirst => Found(step, cards.Where(c => c.Topic == topic), -Step)
                    ?? Found(step, cards, -Step),
                _ => Same(assignment, step),
            };
        return [.. steps.Select(s => new NextStepView(s, TextOf(s)))];
    }

    private static StepText? Same(AssignmentRow assignment, NextStep step) =>
        step.Kind is NextStepKind.ReadAgain && assignment.TextId is { } text
            ? new(text, assignment.Title, step.Readers.Count)
            : null;
}

using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Library;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;
using DeepCurrent.Web.Texts;

namespace DeepCurrent.Web.Assignments;

/// <param name="Depths">Of its versions, in fathoms, shallowest first.</param>
public sealed record SuggestedText(
    TextId TextId,
    string Title,
    string Topic,
    bool Fiction,
    IReadOnlyList<double> Depths,
    int Within,
    int Had,
    int TooDeep
);

/// <param name="Texts">Best first; more than were asked for, to choose others from.</param>
public sealed record SuggestedForGroup(
    GroupId GroupId,
    string Name,
    IReadOnlyList<ReaderId> ReaderIds,
    IReadOnlyList<SuggestedText> Texts
);

/// <summary>One draft of a week that is prepared.</summary>
/// <param name="Id">Of the draft, made by the page.</param>
public sealed record NewDraft(
    AssignmentId Id,
    TextId TextId,
    IReadOnlyList<ReaderId> ReaderIds,
    DateOnly VisibleFrom,
    DateOnly? DueOn
);

public sealed record DraftWeekRequest(IReadOnlyList<NewDraft> Drafts, int Attempts);

/// <summary>Preparing a week: texts that fit the groups, and drafts of them in one step.</summary>
public static class SuggestEndpoints
{
    private const int MostEach = 12,
        MostDrafts = 100;

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/week/suggestions", Suggest);
        api.MapPost("/classes/{classId:guid}/drafts", Draft);
    }

    private static async Task<IReadOnlyList<SuggestedForGroup>> Suggest(
        ClassId classId,
        int? each,
        Desk desk,
        Giving giving,
        AssignmentStore assignments,
        GivenStore earlier,
        LibraryShelf library
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var school = await desk.School();
        var depths = room.Roster.ToDictionary(r => r.Id, r => r.Depth);
        var had = await earlier.HadBy([.. depths.Keys]);
        var groups = room
            .Guided.Select(g => (Group: g, Readers: g.ReaderIds.Where(depths.ContainsKey).ToList()))
            .Where(g => g.Readers.Count > 0)
            .ToList();
        var found = GroupTexts.For(
            [.. groups.Select(g => g.Readers.Select(r => new GroupReader(depths[r], had[r].ToHashSet())).ToList())],
            (await library.Cards()).Where(c => !c.Retired && c.Questions > 0 && c.SeenBy(school.Id, desk.Who.Adult)),
            await assignments.Planned(classId, await desk.Today()),
            new ZoneCuts(school.ZoneLow, school.ZoneHigh),
            Math.Clamp(each ?? MostEach, 1, MostEach)
        );
        return
        [
            .. groups.Zip(found, (g, texts) =>
                new SuggestedForGroup(g.Group.Id, g.Group.Name, g.Readers, [.. texts.Select(Shown)])
            ),
        ];
    }

    private static SuggestedText Shown(GroupText t) =>
        new(
            t.Card.Id,
            t.Card.Title,
            t.Card.Topic,
            t.Card.Fiction,
            [.. t.Card.Versions.Select(v => v.Depth).Order()],
            t.Within,
            t.Had,
            t.TooDeep
        );

    private static async Task<DoneView> Draft(
        ClassId classId,
        DraftWeekRequest request,
        Desk desk,
        Giving giving,
        ChangeStore changes
    )
    {
        var room = await giving.Class(classId, Deed.Assign);
        var today = await desk.Today();
        new Faults()
            .If(request.Drafts is not { Count: > 0 and <= MostDrafts }, "drafts", $"Choose 1 to {MostDrafts} texts.")
            .If(request.Attempts is < 1 or > 3, "attempts", $"Choose 1 to 3 tries.")
            .Refuse();
        _ = await giving.Titles([.. request.Drafts.Select(d => d.TextId).Distinct()]);
        var drafts = new List<NewAssignment>();
        foreach (var d in request.Drafts)
        {
            var terms = new AssignmentTerms(d.VisibleFrom, d.DueOn);
            new Faults().Of(terms.Faults(today)).Refuse();
            drafts.Add(
                new()
                {
                    Id = d.Id,
                    ClassId = classId,
                    AssignedBy = desk.Who.Adult,
                    AssignedAt = desk.Now,
                    Terms = terms,
                    Task = new(TaskId.New(), d.TextId, request.Attempts),
                    Aims = room.AimsOf(Giving.Chosen(room, d.ReaderIds)),
                }
            );
        }
        var made = await changes.DoIn(classId, desk, ChangeKind.Drafted, async (c, t) =>
        {
            var added = 0;
            foreach (var draft in drafts)
                added += await AssignmentWriter.Add(c, t, draft, today) ? 1 : 0;
            return added == 0 ? null : new(new Assigned([.. drafts.Select(d => d.Id)]), $"Saved {added:count} drafts");
        });
        return new(made?.Id, made?.Summary ?? $"Nothing changed", drafts.Count, 0);
    }
}

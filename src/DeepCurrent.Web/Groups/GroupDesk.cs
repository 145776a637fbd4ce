using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Storage;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Groups;

/// <summary>A class as groups are formed of it: its readers with their evidence, and the groups they are in.</summary>
/// <param name="Candidates">Everybody in the class, shallow first.</param>
public sealed record GroupClass(
    IReadOnlyList<RosterRow> Roster,
    IReadOnlyList<GroupCandidate> Candidates,
    ILookup<ReaderId, StrandCount> Strands,
    IReadOnlyList<GroupRow> Now
)
{
    /// <summary>Names of groups of the class's other groupings.</summary>
    public IReadOnlyList<string> Taken { get; init; } = [];

    private readonly Dictionary<string, string> called = CalledNames
        .Of(Roster.Select(r => (r.Id, r.GivenName, r.FamilyName)))
        .ToDictionary(c => c.Key.ToString(), c => c.Value);

    /// <summary>What a reader is called among those of the class.</summary>
    public string NameOf(string key) => called[key];
}

/// <summary>Gets together what groups are formed of.</summary>
public sealed class GroupDesk(
    Desk desk,
    ReaderStore readers,
    GivenStore earlier,
    GroupStore groups,
    GroupingStore groupings,
    RunningRecordStore records
)
{
    private static readonly Strand[] Strands = Enum.GetValues<Strand>();

    /// <summary>A class, or the classes of one of its groupings. Who forms groups of several classes must be allowed to in
    /// each; who may see a class sees the groups that are formed in it, whole.</summary>
    /// <param name="deed">What the asker must be allowed to do in the class.</param>
    /// <param name="grouping">Null for guided reading.</param>
    public async Task<GroupClass> Of(ClassId classId, Deed deed = Deed.FormGroups, GroupingId? grouping = null)
    {
        await desk.Class(classId, deed);
        var row = grouping is { } id ? await groupings.Find(classId, id) ?? throw Refused.NotFound() : null;
        if (deed is Deed.FormGroups)
            foreach (var other in row?.Others ?? [])
                await desk.Class(other, deed);
        var all = (await groups.Whole(classId)).ToLookup(g => g.Grouping == grouping);
        return await Of(row?.Classes ?? [classId], [.. all[true]]) with { Taken = [.. all[false].Select(g => g.Name)] };
    }

    /// <summary>A class with the groups of all its groupings.</summary>
    public async Task<GroupClass> Every(ClassId classId, Deed deed)
    {
        await desk.Class(classId, deed);
        var all = await groupings.Of(classId);
        var own = all.Select(g => g.Id).ToHashSet();
        var now = (await groups.Whole(classId)).Where(g => g.Grouping is not { } id || own.Contains(id));
        return await Of(all.SelectMany(g => g.Classes).Prepend(classId).Distinct(), [.. now]);
    }

    private async Task<GroupClass> Of(IEnumerable<ClassId> classes, IReadOnlyList<GroupRow> now)
    {
        var since = desk.Now - Mastery.Span;
        var (counts, rows) = (new List<StrandCount>(), new List<RosterRow>());
        foreach (var one in classes)
        {
            counts.AddRange(await earlier.Strands(one, since));
            rows.AddRange(await readers.Roster(one, await desk.Moment()));
        }

        var strands = counts.ToLookup(s => s.ReaderId);
        var roster = rows.DistinctBy(r => r.Id).OrderBy(r => r.Depth).ToList();
        var aloud = await records.Latest([.. roster.Select(r => r.Id)], since);
        return new(
            roster,
            [
                .. roster.Select(r => new GroupCandidate(
                    r.Id.ToString(),
                    r.Depth,
                    Masteries(strands[r.Id]),
                    r.Sd,
                    aloud.TryGetValue(r.Id, out var record) ? RateOf(record) : null
                )),
            ],
            strands,
            now
        );
    }

    private static WordsPerMinute? RateOf(RunningRecord record)
    {
        var sheet = record.Sheet;
        var passage = SpokenForms.Of(record.Body);
        var rate = RecordSheet
            .Figures(sheet.Marks, passage, sheet.LastWord, sheet.Seconds, sheet.Pauses)
            .WordsCorrectPerMinute;
        return rate > 0 ? new(rate) : null;
    }

    /// <summary>The same figure that the reader's sheet shows; of a strand nobody asked for nothing is known.</summary>
    private static double?[] Masteries(IEnumerable<StrandCount> counts)
    {
        var asked = counts.ToDictionary(s => s.Strand, s => (s.Right, s.Asked));
        return
        [
            .. Strands.Select(s =>
                asked.TryGetValue(s, out var count)
                    ? (double?)(Mastery.Estimate(count.Right, count.Asked).Mean * 100)
                    : null
            ),
        ];
    }

    /// <summary>Readers of a class with the weekdays on which they cannot come to a group.</summary>
    public async Task<ILookup<ReaderId, DayOfWeek>> Cannot(ClassId classId) =>
        (await groupings.AllRules(classId))
            .SelectMany(rules => Database.FromJson<GroupRulesBody>(rules).Cannot ?? [])
            .SelectMany(c => c.Days.Select(day => (c.ReaderId, day)))
            .Distinct()
            .ToLookup(x => x.ReaderId, x => x.day);

    /// <summary>What the class's teachers said last; what would be usual where they have said nothing.</summary>
    /// <param name="grouping">Null for guided reading.</param>
    public async Task<GroupRulesBody> Rules(ClassId classId, GroupClass of, GroupingId? grouping = null) =>
        await (grouping is { } id ? groupings.Rules(id) : groups.Rules(classId)) is { } kept
            ? Database.FromJson<GroupRulesBody>(kept)
            : new(Math.Max(1, (of.Now.Count > 0 ? of.Now.Count : (of.Roster.Count + 3) / 6)), 3, 6);
}

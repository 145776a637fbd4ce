using DeepCurrent.Core.Access;
using DeepCurrent.Core.Conferences;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Conferences;
using DeepCurrent.Data.Looks;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Reports;
using DeepCurrent.Data.Schools;
using DeepCurrent.Formats.Print;
using DeepCurrent.Web.Goals;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Conferences;

/// <summary>Puts together what a conference page shows, in plain words.</summary>
public sealed class ConferenceRoom(
    Desk desk,
    SchoolStore schools,
    ConferenceStore conferences,
    GivenStore earlier,
    RunningRecordStore records,
    LogStore log,
    GoalBook goals,
    LookStore looks
)
{
    private const int MostReadings = 5,
        MostMiscues = 3,
        MostAtHome = 3;

    public async Task<IReadOnlyList<PrintedConference>> Pages(
        ClassPlace place,
        IReadOnlySet<ReaderId>? wanted,
        string? language
    )
    {
        var school = await desk.School();
        var clock = await desk.Clock();
        var today = await desk.Today();
        var year = await schools.Year(place.SchoolYearId);
        var since = today.AddDays(-83) is var back && back > year.FirstDay ? back : year.FirstDay;
        var all = (await conferences.Readers(place.Id, today)).Where(r => wanted?.Contains(r.Id) != false).ToList();
        var strands = (await earlier.Strands(place.Id, clock.Begin(since))).ToLookup(s => s.ReaderId);
        var trails = (await conferences.Trails([.. all.Select(r => r.Id)], year.FirstDay)).ToLookup(t => t.ReaderId);
        var read = (
            await log.Of(
                new([.. all.Select(r => r.Id)], clock.Begin(since), clock.End(today), since, today, clock, null)
            )
        ).ToLookup(l => l.ReaderId);
        var known = new Known(place, school, clock, today, since, year.TermOn(today)?.LastDay)
        {
            Teacher = await conferences.NameOf(desk.Who.Adult),
            Strands = strands,
            Trails = trails,
            Read = read,
            Aloud = await records.Latest([.. all.Select(r => r.Id)], clock.Begin(since)),
            Words = (await conferences.Words(place.Id)).ToDictionary(w => w.ReaderId, w => w.Words),
        };
        var pages = new List<PrintedConference>();
        foreach (var reader in all)
        {
            await looks.Add(school.Id, desk.Who.Adult, desk.Now, LookKind.RecordExported, reader.Id, Message.Nothing);
            pages.Add(
                Page(
                    reader,
                    known,
                    await goals.OfReader(reader.Id, school),
                    Languages.Of(language ?? reader.HomeLanguage)
                )
            );
        }
        return pages;
    }

    /// <summary>What the pages of a class rest on.</summary>
    /// <param name="Since">The first day that counts.</param>
    /// <param name="GoalsUntil">The term's last day; null between terms.</param>
    private sealed record Known(
        ClassPlace Place,
        School School,
        SchoolClock Clock,
        DateOnly Today,
        DateOnly Since,
        DateOnly? GoalsUntil
    )
    {
        public required string Teacher { get; init; }

        public required ILookup<ReaderId, StrandCount> Strands { get; init; }

        public required ILookup<ReaderId, ConferenceDay> Trails { get; init; }

        public required ILookup<ReaderId, LogRow> Read { get; init; }

        public required IReadOnlyDictionary<ReaderId, RunningRecord> Aloud { get; init; }

        public required IReadOnlyDictionary<ReaderId, string> Words { get; init; }
    }

    private static PrintedConference Page(
        ConferenceReader reader,
        Known of,
        IReadOnlyList<GoalStandingView> set,
        Language spoken
    )
    {
        var parted = PlainWords.Parted(of.Strands[reader.Id].Select(s => new MasteryOf(s.Strand, s.Right, s.Asked)));
        return new()
        {
            Language = spoken,
            School = of.School.Name,
            Class = of.Place.Name,
            Teacher = of.Teacher,
            Day = of.Today,
            GivenName = reader.GivenName,
            FamilyName = reader.FamilyName,
            Level =
            [
                PlainWords.Level(of.School, reader.GivenName, reader.Depth),
                PlainWords.Trend(reader.GivenName, reader.SixWeeks),
            ],
            Trail = [.. of.Trails[reader.Id].Select(t => new TrailDay(t.Day, t.Mean.Value, t.Low.Value, t.High.Value))],
            Bands = Bands(of.School, spoken),
            Well = [.. parted.Well.Select(Counted)],
            Next = [.. parted.Next.Select(Counted)],
            Since = of.Since,
            GoalsUntil = of.GoalsUntil,
            Goals = [.. set.Where(InWords).Select(Goal)],
            Readings = [.. Full(of.Read[reader.Id]).Take(MostReadings).Select(l => Reading(l, reader.Depth))],
            Others = Others(of.Read[reader.Id], reader.GivenName),
            Aloud = of.Aloud.TryGetValue(reader.Id, out var record) ? Aloud(record, of.Clock) : null,
            Words = of.Words.GetValueOrDefault(reader.Id, ""),
            AtHome =
            [
                $"Read together for ten minutes a day, in any book {reader.GivenName} likes.",
                .. parted.Next.Take(MostAtHome - 1).Select(s => PlainWords.AtHome(s.Strand)),
            ],
        };
    }

    private static IReadOnlyList<GradeBand> Bands(School school, Language language)
    {
        var rows = school.Chart.Rows;
        return
        [
            .. rows.Select(
                (row, i) =>
                    new GradeBand(
                        Catalogue.Of(language).Say(school.LevelName(row.Depth)),
                        i == 0 ? Fathoms.Shallowest : rows[i - 1].Depth.Value,
                        row.Depth.Value
                    )
            ),
        ];
    }

    private static CountOf Counted(MasteryOf s) => new(PlainWords.Strand(s.Strand), s.Right, s.Asked);

    /// <summary>The level is said in words of its own.</summary>
    private static bool InWords(GoalStandingView g) => g.Kind is not GoalKind.Depth;

    private static PrintedGoal Goal(GoalStandingView g) =>
        g.Kind switch
        {
            GoalKind.Words => new(
                $"Words read and understood",
                g.Done / Math.Max(1, g.Target),
                $"{(long)Math.Round(g.Done)} of {(long)Math.Round(g.Target)} words so far."
            ),
            _ => new(
                $"Right on the first try",
                g.Done / 100,
                $"{(long)Math.Round(g.Done)}% so far. The goal is {(long)Math.Round(g.Target)}%."
            ),
        };

    private static IEnumerable<LogRow> Full(IEnumerable<LogRow> rows) => rows.Where(l => l.Full);

    private static PrintedReading Reading(LogRow l, Fathoms level) =>
        new(l.Title, PlainWords.OnLine(l.Depth ?? level, level), Math.Max(1, (int)Math.Round(l.Seconds / 60)));

    private static Message Others(IEnumerable<LogRow> rows, string name)
    {
        var list = rows.ToList();
        var full = Full(list).ToList();
        var elsewhere = list.Where(l => l.OwnReadingId is not null).ToList();
        var more = full.Count - Math.Min(full.Count, MostReadings);
        var minutes = (long)Math.Round(full.Sum(l => l.Seconds) / 60);
        if (full.Count + elsewhere.Count == 0)
            return $"No text read in full in these weeks.";
        var own = (long)(elsewhere.Sum(l => l.Seconds) / 60);
        return elsewhere.Count > 0
            ? $"{more:count} more texts; {minutes} minutes in all. In books of {name}’s own: {own} minutes."
            : (Message)$"{more:count} more texts; {minutes} minutes in all.";
    }

    /// <summary>The latest reading aloud that is finished, with the first few words read otherwise.</summary>
    private static PrintedAloud Aloud(RunningRecord record, SchoolClock clock)
    {
        var passage = SpokenForms.Of(record.Body);
        var (marks, last) = (record.Sheet.Marks, record.Sheet.LastWord);
        var figures = RecordSheet.Figures(marks, passage, last, record.Sheet.Seconds, record.Sheet.Pauses);
        var right = (long)(figures.Words - figures.Errors);
        var rate = (long)Math.Round(figures.WordsCorrectPerMinute);
        return new(
            record.Title,
            clock.DayOf(record.ReadAt),
            rate > 0
                ? $"{right} of {figures.Words:count} words right, {rate} right a minute."
                : (Message)$"{right} of {figures.Words:count} words right.",
            [
                .. RecordSheet
                    .Whole(marks, RecordSheet.Read(passage, last))
                    .Select(PlainWords.Miscue)
                    .OfType<Message>()
                    .Take(MostMiscues),
            ]
        );
    }
}

using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Assignments;
using DeepCurrent.Data.Changes;
using DeepCurrent.Data.Choosing;
using DeepCurrent.Data.Feedbacks;
using DeepCurrent.Data.Goals;
using DeepCurrent.Data.Groups;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.HomeMessages;
using DeepCurrent.Data.KeptWords;
using DeepCurrent.Data.LevelChecks;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Notes;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Plans;
using DeepCurrent.Data.Ratings;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Readings;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Texts;
using DeepCurrent.Data.Tickets;
using DeepCurrent.Data.WordLists;

namespace DeepCurrent.Demo;

/// <summary>Makes Port Ellery School: people, and weeks of history that simulated readers bring about through the real
/// rules.</summary>
public sealed class DemoWorld(
    SchoolStore schools,
    AdultStore adults,
    RosterWriter roster,
    GuardianStore guardians,
    HomeMessageStore homeMessages,
    ReaderStore readers,
    TextStore texts,
    TicketStore tickets,
    AnswerWriter writer,
    MarkingStore marking,
    ChangeStore changes,
    ChoosingStore choosing,
    RunningRecordStore records,
    CheckStore checks,
    SittingStore sittings,
    ReplyStore replies,
    PlanStore savedPlans,
    WordListStore lists,
    NoteStore notes,
    KeptWordStore keptWords,
    OwnReadingStore ownReadings,
    RatingStore ratings,
    FeedbackStore feedbacks,
    ReplyMarker marker
)
{
    public const string Password = "low water at nine";
    public const string LeadUserName = "ines",
        TeacherUserName = "marit",
        OtherUserName = "teo",
        OtherLeadUserName = "oona",
        AssistantUserName = "bram",
        GuardianUserName = "lucia",
        ClassCode = "TERN46";

    /// <summary>The reader whose pictures are printed at the start.</summary>
    public const string KnownReader = "Mateo";

    public static readonly IReadOnlyList<string> KnownPictures = ["boat", "gull", "shell"];

    /// <summary>School weeks the demo has behind it.</summary>
    internal const int WeeksGone = 11;

    private const string TimeZone = "Europe/London",
        WritingCode = "HERN63";
    private const int Seed = 20;
    private static readonly LevelChart Chart = LevelChart.Default;

    private readonly DemoPeople people = new(adults, roster, guardians, homeMessages, Chart, Seed);
    private readonly DemoTasks tasks = new(changes, tickets, replies, marker, savedPlans, lists);
    private readonly DemoOwn own = new(tickets, texts, notes, keptWords, ownReadings, ratings);
    private readonly DemoWeeks weeks = new(
        readers,
        changes,
        new(adults, texts, tickets, writer, marking, feedbacks, records, Chart),
        new(changes),
        new(checks, sittings, changes, Chart),
        Chart
    );

    /// <param name="hash">Hashes a password.</param>
    /// <param name="seal">Enciphers a picture secret.</param>
    /// <param name="say">Told how far it is.</param>
    public async Task Load(Func<string, string> hash, Func<string, string> seal, DateTimeOffset now, Action<string> say)
    {
        say("Demo world: the school and its year");
        var clock = new SchoolClock(TimeZone);
        var school = PortEllery();
        var (ines, marit, teo, bram) = Staff(school.Id, hash(Password), now);
        var year = Year(clock, now);
        await schools.Create(school, ines, year, now, onlyIfNone: false);
        foreach (var adult in new[] { marit, teo, bram })
            await adults.Add(adult);
        var library = await Library(school);
        var from = 0;
        foreach (var (name, code, grade, size, teacher) in Classes(marit, teo))
        {
            var known = code == ClassCode;
            var @class = new RosterClass(ClassId.New(), null, year.Id, name, code, null, null, Closed: false)
            {
                Grade = grade,
            };
            var those = People.Readers[from..(from + size)];
            var room = await people.Enrol(school, @class, year, teacher, known ? bram : null, those, seal);
            from += size;
            if (room.People.FirstOrDefault(p => p.Name == KnownReader) is { } child)
                await people.AtHome(child.Id, school, teacher.Id, (hash, seal), now);
            await choosing.Put(room.Id, new(Open: true));
            void Told(int done) => say($"Demo world: {name}, week {done} of {WeeksGone + 1}");
            await weeks.Live(room, library, now, known, Told);
            await own.Rate(room, now);
            if (known)
                await own.Give(room, now);
            else if (code == WritingCode)
                await tasks.Give(room, year.FirstDay.AddDays(7 * WeeksGone), now);
        }
        await tasks.Keep(ines, library, now.AddDays(-20));
        await Neighbour(hash, seal, clock, now);
    }

    private static School PortEllery() =>
        new()
        {
            Id = SchoolId.New(),
            Name = "Port Ellery School",
            TimeZone = TimeZone,
            UnderstoodFrom = 0.6,
            ZoneLow = 0.7,
            ZoneHigh = 0.9,
            MinutesADay = 15,
        };

    private static (Adult Ines, Adult Marit, Adult Teo, Adult Bram) Staff(
        SchoolId school,
        string hash,
        DateTimeOffset now
    )
    {
        Adult One(string name, string userName, bool lead = false) =>
            new(
                AdultId.New(),
                school,
                name,
                userName,
                hash,
                Lead: lead,
                Mail: $"{userName}@port-ellery.example",
                ConfirmedAt: now
            );
        return (
            One("Inês Achterberg", LeadUserName, lead: true),
            One("Marit Oyelaran", TeacherUserName),
            One("Teo Baptiste", OtherUserName),
            One("Bram Quaye", AssistantUserName) with
            {
                Post = Post.Assistant,
            }
        );
    }

    private static (string Name, string Code, int Grade, int Size, Adult Teacher)[] Classes(Adult marit, Adult teo) =>
        [
            ("4 Tern", ClassCode, 4, 24, marit),
            ("2 Plover", "PLVR29", 2, 18, teo),
            ("6 Heron", WritingCode, 6, 6, marit),
        ];

    /// <summary>A second school up the estuary, for readers who change schools.</summary>
    private async Task Neighbour(
        Func<string, string> hash,
        Func<string, string> seal,
        SchoolClock clock,
        DateTimeOffset now
    )
    {
        var school = new School
        {
            Id = SchoolId.New(),
            Name = "Skerry Point School",
            TimeZone = TimeZone,
            UnderstoodFrom = 0.6,
            ZoneLow = 0.7,
            ZoneHigh = 0.9,
            MinutesADay = 15,
        };
        var oona = new Adult(
            AdultId.New(),
            school.Id,
            "Oona Takahashi",
            OtherLeadUserName,
            hash(Password),
            Lead: true,
            Mail: $"{OtherLeadUserName}@skerry-point.example",
            ConfirmedAt: now
        );
        var year = Year(clock, now);
        await schools.Create(school, oona, year, now, onlyIfNone: false);
        await people.Enrol(
            school,
            new(ClassId.New(), null, year.Id, "4 Eider", "EIDR57", null, null, Closed: false) { Grade = 4 },
            year,
            oona,
            null,
            People.Neighbours,
            seal
        );
    }

    /// <summary>A school year that is in its twelfth week today, in three terms.</summary>
    private static YearCalendar Year(SchoolClock clock, DateTimeOffset now)
    {
        var today = clock.DayOf(now);
        var first = SchoolWeek.Monday(today).AddDays(-7 * WeeksGone);
        var id = YearId.New();
        Term Part(string name, int fromWeek, int weeks) =>
            new(TermId.New(), id, name, first.AddDays(7 * fromWeek), first.AddDays(7 * (fromWeek + weeks) - 3));
        return new(
            id,
            "",
            first,
            first.AddDays(7 * 42 - 3),
            [Part("Term 1", 0, 15), Part("Term 2", 17, 12), Part("Term 3", 31, 11)],
            [.. Enumerable.Range(0, 5).Select(d => first.AddDays(7 * 7 + d))],
            clock
        );
    }

    private async Task<List<SimulatedText>> Library(School school)
    {
        var library = new List<SimulatedText>();
        foreach (var t in await texts.Some(null, school.Id, default, null))
            library.Add(new(t, await texts.Questions(t.Id)));
        return library;
    }
}

using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Changes;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.Grouping;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Core.Tickets;
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

    private const string TimeZone = "Europe/London",
        WritingCode = "HERN63";
    private const string KeptForThisWeek = "the-mill-that-waits",
        KeptForTrying = "how-a-barometer-listens";
    private const int Seed = 20,
        WeeksGone = 11,
        LeftToMark = 45;
    private static readonly LevelChart Chart = LevelChart.Default;
    private static readonly string[] GroupNames = ["Kelp", "Ferry", "Mill", "Beacon"];

    private readonly Random random = new(Seed);
    private int enrolledSoFar;
    private readonly DemoChecks windows = new(checks, sittings, changes, Chart);
    private readonly DemoPlans plans = new(changes);
    private readonly DemoTasks tasks = new(changes, tickets, replies, marker, savedPlans, lists);
    private readonly DemoOwn own = new(tickets, texts, notes, keptWords, ownReadings, ratings);
    private ClassId tern;
    private readonly UserNames userNames = new(new HashSet<string>());

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
            var classId = ClassId.New();
            if (code == ClassCode)
                tern = classId;
            var @class = new RosterClass(classId, null, year.Id, name, code, null, null, Closed: false)
            {
                Grade = grade,
            };
            var assistant = code == ClassCode ? bram : null;
            var those = People.Readers[from..(from + size)];
            var people = await Enrol(school, @class, year, teacher, assistant, grade, those, seal);
            from += size;
            if (people.Find(p => p.Name == KnownReader) is { } known)
                await AtHome(known.Id, school, teacher.Id, (hash, seal), now);
            await choosing.Put(classId, new(Open: true));
            void Told(int done) => say($"Demo world: {name}, week {done} of {WeeksGone + 1}");
            await Live(classId, year, teacher, people, library, clock.DayOf(now), now, Told);
            await own.Rate(classId, people, teacher, clock, now);
            if (code == ClassCode)
                await own.Give(people, teacher, clock, now);
            else if (code == WritingCode)
                await tasks.Give(classId, year, teacher, people, year.FirstDay.AddDays(7 * WeeksGone), now);
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
        await Enrol(
            school,
            new(ClassId.New(), null, year.Id, "4 Eider", "EIDR57", null, null, Closed: false) { Grade = 4 },
            year,
            oona,
            null,
            4,
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

    private RosterReader Admitted(
        ReaderId id,
        string given,
        string family,
        int grade,
        School school,
        Func<string, string> seal
    )
    {
        var kind = SignInRules.KindFor(grade, school.PicturesTo, school.CodesTo);
        var secret = given == KnownReader ? string.Join(' ', KnownPictures) : SignInRules.NewSecret(kind, random);
        return new RosterReader
        {
            Id = id,
            SourceId = null,
            GivenName = given,
            FamilyName = family,
            UserName = userNames.Take(SignInRules.UserName(given, family)),
            Grade = grade,
            Details = ReaderDetails.None.With(ReaderDetail.HomeLanguage, People.LanguageOf(given)),
            GuardianMail = null,
            SecretKind = kind,
            Secret = seal(secret),
            Supports = People.SupportsOf(given),
            Left = false,
        };
    }

    private async Task<List<SimulatedReader>> Enrol(
        School school,
        RosterClass room,
        YearCalendar year,
        Adult teacher,
        Adult? assistant,
        int grade,
        (string Given, string Family)[] names,
        Func<string, string> seal
    )
    {
        var people = new List<SimulatedReader>();
        var start = At(year.FirstDay, 0);
        List<Step<RosterReader>> added = [];
        List<Step<Enrolment>> enrolled = [];
        List<Step<StatedLevel>> levels = [];
        for (var i = 0; i < names.Length; i++)
        {
            var (given, family) = names[i];
            // Evenly spread quantiles, in mixed order, so that a class of any size looks like a class.
            var depth =
                Chart.Typical(grade, 0).Value + 7.5 * Normal.Quantile((i * 7 % names.Length + 0.5) / names.Length);
            // Named ids: what goes by them, as dice of checks do, falls the same way whenever the world is made.
            var id = ReaderId.From(NamedId.Of(NamedId.Shipped, $"{school.Name}: {given} {family}"));
            var person = new SimulatedReader(id, given, depth, new Random(Seed * 1000 + enrolledSoFar++));
            people.Add(person);
            added.Add(new(null, Admitted(person.Id, given, family, grade, school, seal)));
            enrolled.Add(new(null, new Enrolment(EnrolmentId.New(), null, room.Id, person.Id, year.FirstDay, null)));
            levels.Add(
                new(
                    null,
                    new StatedLevel(StatedLevelId.New(), person.Id, Math.Round(depth + 5 * Normal.Draw(random)), start)
                )
            );
        }
        List<Step<Teaching>> taught = [new(null, new Teaching(TeachingId.New(), room.Id, teacher.Id, Part.Teacher))];
        if (assistant is not null)
            taught.Add(new(null, new Teaching(TeachingId.New(), room.Id, assistant.Id, Part.Assistant)));
        await roster.Apply(
            new([], [new(null, room)], added, taught, enrolled, levels),
            new(school.Id, room.Id, teacher.Id, $"Created class {room.Name} with {names.Length:count} readers", start),
            new(Chart, year)
        );
        return people;
    }

    /// <summary>Somebody who follows one reader from home.</summary>
    private async Task<AdultId> Guardian(
        School school,
        ReaderId readerId,
        Func<string, string> hash,
        Func<string, string> seal,
        DateTimeOffset now
    )
    {
        var lucia = new Adult(
            AdultId.New(),
            school.Id,
            "Lucía Rivas",
            GuardianUserName,
            hash(Password),
            AdultKind.Guardian,
            Mail: "lucia.rivas@home.example",
            ConfirmedAt: now
        );
        await adults.Add(lucia);
        var code = new GuardianCode(Guid.CreateVersion7(), school.Id, readerId, seal("used"), now);
        await guardians.Add([(code, code.Id.ToString())], now);
        await guardians.Link(lucia.Id, code, now);
        return lucia.Id;
    }

    private static (string Name, string Code, int Grade, int Size, Adult Teacher)[] Classes(Adult marit, Adult teo) =>
        [
            ("4 Tern", ClassCode, 4, 24, marit),
            ("2 Plover", "PLVR29", 2, 18, teo),
            ("6 Heron", WritingCode, 6, 6, marit),
        ];

    /// <summary>A reader's guardian, with a message that was answered and one that nobody has answered yet.</summary>
    private async Task AtHome(
        ReaderId reader,
        School school,
        AdultId teacher,
        (Func<string, string> Hash, Func<string, string> Seal) secrets,
        DateTimeOffset now
    )
    {
        var guardian = await Guardian(school, reader, secrets.Hash, secrets.Seal, now);
        var (first, second) = (HomeMessageId.New(), HomeMessageId.New());
        const string Asked =
            "Mateo likes the texts about storms. Is there a time at home when he reads aloud to somebody?";
        await homeMessages.Put(reader, first, Asked, teacher, now.AddDays(-9));
        const string Said = "Thank you. He reads to his sister after supper, ten minutes or so.";
        await homeMessages.Answer(reader, (first, HomeAnswerId.New()), Said, guardian, now.AddDays(-8));
        await homeMessages.Seen(reader, now.AddDays(-7));
        const string Told =
            "Mateo explained to the group how the mill uses the tide. If it suits you, come in one day at 16:00 "
            + "and hear him read.";
        await homeMessages.Put(reader, second, Told, teacher, now.AddDays(-1));
    }

    private async Task Live(
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        List<SimulatedReader> people,
        List<SimulatedText> library,
        DateOnly today,
        DateTimeOffset now,
        Action<int> week
    )
    {
        for (var w = 0; w <= WeeksGone; w++)
        {
            var monday = year.FirstDay.AddDays(7 * w);
            week(w + 1);
            if (!year.Calendar.IsSchoolDay(monday))
                continue;
            foreach (var p in people)
                p.Grow(Chart);
            await Apart(w, classId, year, teacher, people, library, now);
            var thisWeek = w == WeeksGone;
            // Two texts are kept back, so that there is something new to give: one for this week, one for whoever tries
            // the application.
            var open = library
                .Where(t => t.Row.Slug != KeptForTrying && (thisWeek || t.Row.Slug != KeptForThisWeek))
                .ToList();
            var at = thisWeek && now.AddHours(-2) < At(monday, 6) ? now.AddHours(-2) : At(monday, 6);
            if (w % 4 != 3 || thisWeek)
                await Assign(classId, year, teacher, people, open, at, monday.AddDays(4), thisWeek, now);
        }
        if (classId == tern)
            await Prepare(classId, year, teacher, people, library, now);
    }

    private async Task Prepare(
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        List<SimulatedReader> people,
        List<SimulatedText> library,
        DateTimeOffset now
    )
    {
        var depths = (await readers.Roster(classId, year.Clock.At(now))).ToDictionary(r => r.Id, r => r.Depth);
        var free = library.Where(t => t.Row.Slug is not (KeptForTrying or KeptForThisWeek)).ToList();
        var monday = year.FirstDay.AddDays(7 * (WeeksGone + 1));
        await plans.Prepare(classId, year, teacher, people, free, depths, monday, now.AddMinutes(-30));
    }

    /// <summary>What happens in some weeks only: records, level checks, goals, groups.</summary>
    private async Task Apart(
        int w,
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        List<SimulatedReader> people,
        List<SimulatedText> library,
        DateTimeOffset now
    )
    {
        var monday = year.FirstDay.AddDays(7 * w);
        if (w is 0 or 6)
            foreach (var p in people)
                await Record(p, teacher, year, library, At(monday, 10).AddMinutes(p.Dice.Next(180)));
        if (w == 1)
            await windows.Autumn(classId, year, teacher, people, At(monday.AddDays(2), 9));
        if (w == WeeksGone && classId == tern)
            await windows.Winter(classId, year, teacher, people, now);
        if (w == 2)
            await SetGoals(classId, year, teacher, people, At(monday, 15));
        if (w == 4)
            await Form(classId, year, teacher, people, At(monday, 16));
    }

    /// <summary>Each reader gets the unread text that fits best; those who get the same one share an assignment. This
    /// week's work is left in all its states.</summary>
    private async Task Assign(
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        List<SimulatedReader> people,
        List<SimulatedText> library,
        DateTimeOffset at,
        DateOnly due,
        bool thisWeek,
        DateTimeOffset now
    )
    {
        var depths = (await readers.Roster(classId, year.Clock.At(at))).ToDictionary(r => r.Id, r => r.Depth);
        // Whoever tries the application as a reader finds the same text, whatever else there is in the library.
        var kept = thisWeek ? library.Find(t => t.Row.Slug == KeptForThisWeek) : null;
        foreach (var same in plans.Texts(people, library, depths, kept))
        {
            var given = same.Select(p => (Reader: p, Version: same.Key.Best(depths[p.Id]), Ticket: TicketId.New()))
                .ToList();
            var assignment = new NewAssignment
            {
                Id = AssignmentId.New(),
                ClassId = classId,
                AssignedBy = teacher.Id,
                AssignedAt = at,
                Terms = new(year.Clock.DayOf(at), due),
                Task = new(TaskId.New(), same.Key.Row.Id, 2),
                Aims = [.. given.Select(g => new Aim(classId, ReaderId: g.Reader.Id))],
                Tickets =
                [
                    .. given.Select(g => new NewTicket(
                        g.Ticket,
                        g.Reader.Id,
                        g.Version.Id,
                        Forecast.Comprehension(depths[g.Reader.Id], g.Version.Depth)
                    )),
                ],
            };
            await changes.Do(new(teacher.SchoolId, classId, teacher.Id, at), ChangeKind.Assigned, async (c, t) =>
            {
                await AssignmentWriter.Add(c, t, assignment, year.Clock.DayOf(at));
                return new(
                    new { assignmentIds = new[] { assignment.Id } },
                    $"Assigned {same.Key.Row.Title} to {given.Count:count} readers"
                );
            });
            foreach (var (reader, version, ticket) in given)
                await Read(reader, same.Key, version, ticket, year, at, thisWeek, now, teacher, classId);
        }
    }

    private async Task Read(
        SimulatedReader reader,
        SimulatedText text,
        VersionHead version,
        TicketId ticketId,
        YearCalendar year,
        DateTimeOffset at,
        bool thisWeek,
        DateTimeOffset now,
        Adult teacher,
        ClassId classId
    )
    {
        reader.Seen.Add(text.Row.Id);
        var when = at.AddHours(reader.Dice.Next(4) * 24 + reader.Dice.NextDouble() * 5);
        // This week some have not begun and some are in the middle.
        if (thisWeek && (reader.Name == KnownReader || when > now.AddMinutes(-40) || reader.Dice.NextDouble() < 0.4))
            return;
        if (!thisWeek && reader.Name != KnownReader && reader.Dice.NextDouble() < 0.04)
            return;
        var ticket = await tickets.Find(ticketId, reader.Id)
            ?? throw new InvalidOperationException("A ticket was given and is not there.");
        await tickets.Open(ticket, when, when);
        await adults.SignedIn(reader.Id.Value, reader: true, when);
        var clock = when.AddSeconds(await TurnPages(reader, ticket, version, when));
        var stopAfter = thisWeek && reader.Dice.NextDouble() < 0.25 ? 3 : int.MaxValue;
        clock = await Answer(reader, text, version, ticketId, stopAfter, clock);
        if (stopAfter < int.MaxValue)
            return;
        var done = await tickets.HandIn(ticketId, reader.Id, Chart, clock.AddSeconds(5), clock.AddSeconds(5));
        if (done is { State: TicketState.ToMark })
        {
            if (at > now.AddDays(-LeftToMark) && reader.Dice.NextDouble() < 0.5)
                return;
            await MarkWritten(reader, text, ticketId, classId, year, teacher, clock);
        }
        await LookAtResult(reader, ticketId, clock.AddDays(2), now);
    }

    /// <summary>Most readers look at their results; those in a hurry do not.</summary>
    private async Task LookAtResult(SimulatedReader reader, TicketId ticketId, DateTimeOffset at, DateTimeOffset now)
    {
        var seconds = 20 + 70 * reader.Dice.NextDouble();
        if (reader.Dice.NextDouble() < (reader.Hurries ? 0.1 : 0.85) && at < now)
            await feedbacks.Spend(ticketId, SpellId.New(), seconds, at);
    }

    /// <summary>Reads page by page.</summary>
    /// <returns>Seconds it took.</returns>
    private async Task<double> TurnPages(
        SimulatedReader reader,
        OpenTicket ticket,
        VersionHead version,
        DateTimeOffset when
    )
    {
        var seconds = version.Words / reader.Rate * 60 * (reader.Hurries ? 0.18 : 1);
        var pages = (await texts.Body(version.Id)).Pages.Count;
        for (var page = 0; page < pages; page++)
            await tickets.Spend(
                ticket,
                SpellId.New(),
                page,
                seconds / pages * (0.85 + 0.3 * reader.Dice.NextDouble()),
                when.AddSeconds(seconds * page / pages),
                Chart
            );
        return seconds;
    }

    private async Task<DateTimeOffset> Answer(
        SimulatedReader reader,
        SimulatedText text,
        VersionHead version,
        TicketId ticketId,
        int stopAfter,
        DateTimeOffset clock
    )
    {
        foreach (var q in text.Questions.Where(q => !q.OnTheWay).Take(stopAfter))
            for (var attempt = 0; attempt < 2; attempt++)
            {
                clock = clock.AddSeconds(12 + 20 * reader.Dice.NextDouble());
                var right = reader.Answers(q, version.Depth, attempt);
                var sentences = q.Rules.PicksSentences ? await texts.Sentences(version.Id) : [];
                var answer = SimulatedAnswer.To(q, right, sentences, version.Label, new(reader.Dice.Next()));
                await writer.Keep(
                    ticketId,
                    reader.Id,
                    [new(AnswerId.New(), q.Id, _ => answer, clock, 9000 + reader.Dice.Next(12000))],
                    clock
                );
                if (right)
                    break;
            }
        return clock;
    }

    private async Task MarkWritten(
        SimulatedReader reader,
        SimulatedText text,
        TicketId ticketId,
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        DateTimeOffset clock
    )
    {
        foreach (var q in text.Questions.Where(q => q is { Written: true, OnTheWay: false }))
        foreach (var a in (await tickets.Answers(ticketId)).Where(a => a.QuestionId == q.Id))
        {
            var full = a.Response.Words == q.Rubric!.Samples[0];
            await marking.Mark(
                ticketId,
                reader.Id,
                a.Id,
                q.Rubric.Mark([
                    .. q.Rubric.Criteria.Select(
                        (row, i) =>
                            full ? row.Most
                            : i == 0 ? 1
                            : 0
                    ),
                ])!,
                "",
                teacher.Id,
                year,
                Chart,
                clock.AddDays(1)
            );
        }
        await marking.Release(ticketId, classId, clock.AddDays(1));
    }

    /// <summary>The reader reads a text near their depth aloud, and the teacher marks it.</summary>
    private async Task Record(
        SimulatedReader p,
        Adult teacher,
        YearCalendar year,
        List<SimulatedText> library,
        DateTimeOffset at
    )
    {
        var wanted = p.Depth + 3 * Normal.Draw(p.Dice);
        var (text, version) = library
            .SelectMany(t => t.Row.Versions.Select(v => (t, v)))
            .Where(x => x.v.Words >= 60)
            .MinBy(x => Math.Abs(x.v.Depth.Value - wanted));
        var body = RecordSheet.Body((await texts.Body(version.Id)).Pages);
        var words = SpokenForms.Of(body);
        int? last = words.Count > 150 ? 119 : null;
        var sheet = SimulatedOral.Sheet(p, version.Depth.Value, words, last, p.Dice);
        var id = RecordId.New();
        await records.Begin(
            new(
                id,
                p.Id,
                version.Id,
                text.Row.Id,
                null,
                teacher.Id,
                text.Row.Title,
                body,
                version.Depth,
                text.Row.Fiction,
                at
            )
        );
        var record = (await records.Find(id, p.Id))!;
        await records.Keep(
            record,
            sheet,
            at,
            1,
            done: true,
            teacher.Id,
            RecordEvidence.Of(record, sheet, at, text.Questions),
            year,
            Chart,
            at
        );
    }

    private async Task SetGoals(
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        List<SimulatedReader> people,
        DateTimeOffset at
    )
    {
        var term = year.Terms[0];
        var targets = people
            .Take(people.Count - 2)
            .SelectMany(p =>
                new[]
                {
                    (p.Id, GoalKind.Comprehension, 75.0),
                    (p.Id, GoalKind.Words, Math.Round((1500 + 30 * p.Depth) / 250) * 250),
                    (p.Id, GoalKind.Depth, Math.Round(2 * p.Depth + 1) / 2),
                }
            );
        await changes.Do(new(teacher.SchoolId, classId, teacher.Id, at), ChangeKind.Goals, async (c, t) =>
            new(
                await GoalStore.Set(c, t, term.Id, targets, "", teacher.Id, at),
                $"Set goals for {people.Count - 2:count} readers"
            )
        );
    }

    private async Task Form(
        ClassId classId,
        YearCalendar year,
        Adult teacher,
        List<SimulatedReader> people,
        DateTimeOffset at
    )
    {
        var candidates = (await readers.Roster(classId, year.Clock.At(at)))
            .Select(r => new GroupCandidate(r.Id.ToString(), r.Depth, []))
            .ToList();
        var count = Math.Max(1, people.Count / 6);
        var plan = GroupPlanner.Propose(candidates, new(count, Math.Min(3, people.Count), 8)).Proposal!;
        var groups = plan
            .Groups.Select(
                (g, i) => new NewGroup(GroupNames[i], [.. g.Readers.Select(r => ReaderId.From(Guid.Parse(r.Key)))])
            )
            .ToList();
        await changes.Do(new(teacher.SchoolId, classId, teacher.Id, at), ChangeKind.Groups, async (c, t) =>
        {
            var formed = await GroupStore.Replace(c, t, classId, groups, at);
            foreach (var (id, group) in formed.Opened.Zip(groups))
                plans.Formed(id, group.ReaderIds);
            return new(formed, $"Saved {count:count} groups");
        });
    }

    private static DateTimeOffset At(DateOnly day, int hour) =>
        new(day.ToDateTime(new TimeOnly(hour, 0)), TimeSpan.Zero);
}

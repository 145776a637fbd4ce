using DeepCurrent.Core.Access;
using DeepCurrent.Core.Depth;
using DeepCurrent.Core.Readers;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Schools;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.HomeMessages;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;

namespace DeepCurrent.Demo;

/// <summary>Who is at the demo's schools: readers in their classes, and somebody at home of one of them.</summary>
internal sealed class DemoPeople(
    AdultStore adults,
    RosterWriter roster,
    GuardianStore guardians,
    HomeMessageStore homeMessages,
    LevelChart chart,
    int seed
)
{
    private readonly Random random = new(seed);
    private readonly UserNames userNames = new(new HashSet<string>());
    private int enrolledSoFar;

    public async Task<DemoClass> Enrol(
        School school,
        RosterClass room,
        YearCalendar year,
        Adult teacher,
        Adult? assistant,
        (string Given, string Family)[] names,
        Func<string, string> seal
    )
    {
        var people = new List<SimulatedReader>();
        var start = DemoClass.Hour(year.FirstDay, 0);
        List<Step<RosterReader>> added = [];
        List<Step<Enrolment>> enrolled = [];
        List<Step<StatedLevel>> levels = [];
        for (var i = 0; i < names.Length; i++)
        {
            var (given, family) = names[i];
            // Evenly spread quantiles, in mixed order, so that a class of any size looks like a class.
            var depth =
                chart.Typical(room.Grade!.Value, 0).Value
                + 7.5 * Normal.Quantile((i * 7 % names.Length + 0.5) / names.Length);
            // Named ids: what goes by them, as dice of checks do, falls the same way whenever the world is made.
            var id = ReaderId.From(NamedId.Of(NamedId.Shipped, $"{school.Name}: {given} {family}"));
            var person = new SimulatedReader(id, given, depth, new Random(seed * 1000 + enrolledSoFar++));
            people.Add(person);
            added.Add(new(null, Admitted(person.Id, given, family, room.Grade!.Value, school, seal)));
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
            new(chart, year)
        );
        return new(room.Id, year, teacher, people);
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
        var secret =
            given == DemoWorld.KnownReader
                ? string.Join(' ', DemoWorld.KnownPictures)
                : SignInRules.NewSecret(kind, random);
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

    /// <summary>A reader's guardian, with a message that was answered and one that nobody has answered yet.</summary>
    public async Task AtHome(
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
            DemoWorld.GuardianUserName,
            hash(DemoWorld.Password),
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
}

using CsCheck;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;

namespace Core.Tests;

public sealed class AccessTests
{
    // Columns: staff of the school, teacher of the school, assistant, co-teacher, teacher of the class, lead, own,
    // reader themself, guardian of the child.
    private const string Matrix = """
        SeeLibrary      x x x x x x x . .
        ChangeText      . . . . . x x . .
        MakeClass       . x . . . x . . .
        FindReaders     . x . . . x . . .
        LeadSchool      . . . . . x . . .
        SeeClass        . . x x x x . . .
        SeeReader       . . x x x x . . .
        ChangeRoster    . . . x x x . . .
        SeeGuardians    . . . x x x . . .
        PrintSecrets    . . . x x x . . .
        PrintOneSecret  . . x x x x . . .
        Assign          . . . x x . . . .
        Mark            . . . x x . . . .
        JudgeLevel      . . . x x . . . .
        SetGoals        . . . x x . . . .
        WriteHome       . . . x x . . . .
        FormGroups      . . . x x . . . .
        TakeRecords     . . x x x . . . .
        GiveCheck       . . x x x x . . .
        WatchCheck      . . x x x x x . .
        ChangeCheck     . . . . . x x . .
        DoOwnTicket     . . . . . . . x .
        SeeOwnChild     . . . . . . . . x
        """;

    // An adult who is nothing but what the column says: an assistant by post, so that being a teacher of the school
    // adds nothing.
    private static readonly (Role Role, Relation Relation)[] Columns =
    [
        (Role.Teacher, new(true, Part.None, false, false, Post.Assistant)),
        (Role.Teacher, new(true, Part.None, false, false, Post.Teacher)),
        (Role.Teacher, new(true, Part.Assistant, false, false, Post.Assistant)),
        (Role.Teacher, new(true, Part.CoTeacher, false, false, Post.Assistant)),
        (Role.Teacher, new(true, Part.Teacher, false, false, Post.Assistant)),
        (Role.Teacher, new(true, Part.None, false, true, Post.Assistant)),
        (Role.Teacher, new(true, Part.None, true, false, Post.Assistant)),
        (Role.Reader, new(true, Part.None, true, false)),
        (Role.Guardian, new(true, Part.None, true, false)),
    ];

    private static string[] Lines =>
        Matrix.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    public static TheoryData<string> Rows => [.. Lines];

    [Theory, MemberData(nameof(Rows))]
    public void Every_cell_of_who_may_do_what(string row)
    {
        var cells = row.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var deed = Enum.Parse<Deed>(cells[0]);
        var may = Columns.Select(c => AccessRules.May(c.Role, deed, c.Relation) ? "x" : ".");
        string.Join(' ', may).ShouldBe(string.Join(' ', cells[1..]));
    }

    [Fact]
    public void Every_deed_has_a_row() =>
        Lines.Select(r => r.Split(' ')[0]).ShouldBe(Enum.GetNames<Deed>(), ignoreOrder: true);

    [Fact]
    public void Nobody_may_do_anything_with_what_belongs_to_another_school() =>
        Gen.Select(Gen.Enum<Role>(), Gen.Enum<Deed>(), Gen.Enum<Part>(), Gen.Bool, Gen.Bool, Gen.Enum<Post>())
            .Sample(
                (role, deed, part, self, lead, post) => !AccessRules.May(role, deed, new(false, part, self, lead, post))
            );

    [Fact]
    public void A_reader_in_somebody_elses_class_cannot_be_touched_and_one_in_no_class_can()
    {
        ClassId mine = ClassId.New(),
            theirs = ClassId.New();
        ReaderId shared = ReaderId.New(),
            held = ReaderId.New(),
            free = ReaderId.New();
        var today = new DateOnly(2026, 11, 27);
        Enrolment In(ReaderId reader, ClassId room, DateOnly? to = null) =>
            new(EnrolmentId.New(), null, room, reader, today.AddDays(-30), to);
        var now = new[] { In(shared, mine), In(shared, theirs), In(held, theirs), In(free, theirs, today.AddDays(-1)) };
        Step<Enrolment> Into(ReaderId reader) =>
            new(null, new Enrolment(EnrolmentId.New(), null, mine, reader, today, null));
        var change = ChangeSet.Nothing with
        {
            Enrolments = [Into(shared), Into(held), Into(free)],
            Levels = [new(null, new StatedLevel(StatedLevelId.New(), held, 30, DateTimeOffset.UnixEpoch))],
        };
        var missing = Consent.Missing(change, now, new HashSet<ClassId> { mine });
        missing.ShouldBe([held]);
        Consent.TakenIn(change, missing).ShouldBe([held]);
        Consent.Without(change, missing).TouchedReaders().ShouldBe([shared, free], ignoreOrder: true);
        // Whoever is touched in any other way counts, too.
        Consent.Missing(change with { Enrolments = [] }, now, new HashSet<ClassId> { mine }).ShouldBe([held]);
    }

    [Fact]
    public void A_wait_is_never_longer_than_its_rule_whatever_the_clock_did() =>
        Gen.Select(
                Gen.Int[0, 5]
                    .Select(i =>
                        new[]
                        {
                            GuessRule.Account,
                            GuessRule.Codes,
                            GuessRule.Address,
                            GuessRule.Class,
                            GuessRule.Joining,
                            GuessRule.JoiningAddress,
                        }[i]
                    ),
                Gen.Int[0, 5000],
                Gen.Int[-500_000, 500_000]
            )
            .Sample(
                (rule, wrong, seconds) =>
                {
                    var now = DateTimeOffset.UnixEpoch.AddYears(50);
                    var left = rule.Left(wrong, now.AddSeconds(seconds), now);
                    return left >= TimeSpan.Zero
                        && left <= rule.Longest
                        && (wrong >= rule.Free || left == TimeSpan.Zero);
                }
            );

    [Fact]
    public void Spraying_a_class_takes_weeks()
    {
        // As fast as the rule lets: whenever no wait is left, one more wrong try.
        var tries = new Queue<DateTimeOffset>();
        DateTimeOffset begin = DateTimeOffset.UnixEpoch,
            now = begin,
            last = begin;
        for (var done = 0; done < 1320; done++)
        {
            while (true)
            {
                while (tries.TryPeek(out var old) && old <= now - GuessRule.Class.Window)
                    tries.Dequeue();
                if (
                    GuessRule.Class.Left(tries.Count, tries.Count == 0 ? null : last, now) is var wait
                    && wait == TimeSpan.Zero
                )
                    break;
                now += wait;
            }
            tries.Enqueue(last = now);
        }
        (now - begin).TotalDays.ShouldBeGreaterThan(14);
    }

    [Theory]
    [InlineData("low water at nine", PasswordFault.None)]
    [InlineData("short", PasswordFault.Length)]
    [InlineData("Password2026!", PasswordFault.Common)]
    [InlineData("qwertyuiop", PasswordFault.Common)]
    [InlineData("1234567890", PasswordFault.Repeating)]
    [InlineData("abababababab", PasswordFault.Repeating)]
    [InlineData("abcdefghijkl", PasswordFault.Repeating)]
    [InlineData("2026-11-27-2026", PasswordFault.Common)]
    [InlineData("marit-vasset-1", PasswordFault.Name)]
    public void Weak_passwords_are_known(string password, PasswordFault fault) =>
        Passwords.FaultOf(password, "marit", "vasset").ShouldBe(fault);

    [Theory]
    [InlineData("A\u202Ennov", "Annov")]
    [InlineData("\u2067Mi\u2069na", "Mina")]
    [InlineData("נועה", "נועה")]
    public void Marks_that_turn_writing_round_are_taken_out_of_names(string typed, string kept) =>
        Names.Tidy(typed).ShouldBe(kept);
}

using System.Text.RegularExpressions;
using Dapper;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Assignments;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Meetings;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Papers;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.Ratings;
using DeepCurrent.Core.Readings;
using DeepCurrent.Core.Roster;
using DeepCurrent.Core.Signals;
using DeepCurrent.Core.Tickets;
using DeepCurrent.Data.Tickets;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>A column that keeps a member of a closed set by its name.</summary>
/// <param name="Members">Those that are kept.</param>
public sealed record SetColumn(string Table, string Column, IReadOnlyList<string> Members);

/// <summary>Columns that keep members of closed sets. What the database lets into them is made from the enums, so that a
/// new member needs no migration; one that goes, or gets another name, needs one for what is kept.</summary>
public static partial class ClosedSets
{
    public static readonly IReadOnlyList<SetColumn> Columns =
    [
        new("adult", "kind", Of<AdultKind>()),
        new("adult", "post", Of<Post>()),
        new("assignment", "need", Of<Need>()),
        new("assignment", "place", Of<WorkPlace>()),
        new("assignment", "results", Of<ResultsShown>()),
        new("check_aim", "kind", Of<AimKind>()),
        new("class", "outside", Of<OutsideCounts>()),
        new("class", "pool", Of<PoolShown>()),
        new("class_adult", "role", Of(Part.None)),
        new("evidence", "kind", Of<EvidenceKind>()),
        new("goal", "kind", Of<GoalKind>()),
        new("import", "state", Of(ImportState.Undone)),
        new("import", "wanted", Of<ImportTask>()),
        new("level_check", "season", Of<Season>()),
        new("pass", "purpose", Of<PassPurpose>()),
        new("meeting", "point", Of<PointKind>()),
        new("meeting_seen", "mark", Of<SeenMark>()),
        new("paper", "kind", Of<PaperKind>()),
        new("question", "kind", Of<QuestionKind>()),
        new("rating", "approval", Of<Approval>()),
        new("rating", "liking", Of<Liking>()),
        new("reader", "secret_kind", Of<SecretKind>()),
        new("round", "begun", Of<RoundBegun>()),
        new("running_record", "listening", Of<ListeningState>()),
        new("set_aside", "kind", Of<SetAsideKind>()),
        new("sign_in_event", "kind", Of<SignInEvent>()),
        new("signal", "ended", Of<SignalEnd>()),
        new("signal", "kind", Of<SignalKind>()),
        new("signal", "state", Of<SignalState>()),
        new("sitting_part", "flag", Of<PartFlag>()),
        new("sitting_part", "part", Of<CheckPart>()),
        new("sitting_part", "state", Of<PartState>()),
        new("task", "kind", Of(TaskKind.LevelCheck)),
        new("ticket", "state", Of<TicketState>()),
    ];

    /// <summary>Lets in what has been added to the sets. Nothing is taken out: an instance of an older version may start
    /// beside a newer one.</summary>
    public static void Widen(NpgsqlConnection c)
    {
        var checks = Checks(c);
        foreach (var set in Columns)
        {
            var check = checks.Single(k => k.Table == set.Table && k.Column == set.Column);
            var missing = set.Members.Except(check.Members).ToList();
            if (missing.Count == 0)
                continue;
            // Names of our own, and what the database itself had quoted.
            var members = string.Join(", ", check.Members.Concat(missing).Select(m => $"'{m}'"));
            c.Execute(
                $"""
                alter table {set.Table}
                  drop constraint {check.Name},
                  add constraint {check.Name} check ({set.Column} in ({members}))
                """
            );
        }
    }

    /// <summary>Every check of the database that lists what one column may be.</summary>
    public static IReadOnlyList<SetCheck> Checks(NpgsqlConnection c) =>
        [
            .. c.Query<(string Table, string Column, string Name, string Said)>(
                    """
                    select t.relname, a.attname, k.conname, pg_get_constraintdef(k.oid)
                    from pg_constraint k
                    join pg_class t on t.oid = k.conrelid
                    join pg_namespace n on n.oid = t.relnamespace
                    join pg_attribute a on a.attrelid = t.oid and a.attnum = k.conkey[1]
                    where k.contype = 'c' and cardinality(k.conkey) = 1 and n.nspname = current_schema()
                      and not t.relispartition
                    order by t.relname, a.attname
                    """
                )
                .Where(k => Lists().IsMatch(k.Said))
                .Select(k => new SetCheck(
                    k.Table,
                    k.Column,
                    k.Name,
                    [.. Member().Matches(k.Said).Select(m => m.Groups[1].Value)]
                )),
        ];

    /// <param name="never">Members that are never kept.</param>
    private static string[] Of<T>(params T[] never)
        where T : struct, Enum => [.. Enum.GetValues<T>().Except(never).Select(m => m.ToString())];

    [GeneratedRegex(@"^CHECK \(\(\w+ = ANY \(ARRAY\[")]
    private static partial Regex Lists();

    [GeneratedRegex(@"'(\w+)'::text")]
    private static partial Regex Member();
}

/// <summary>A check that lists what a column may be.</summary>
/// <param name="Name">The constraint's.</param>
public sealed record SetCheck(string Table, string Column, string Name, IReadOnlyList<string> Members);

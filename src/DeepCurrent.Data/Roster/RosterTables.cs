using DeepCurrent.Core.Access;
using DeepCurrent.Core.Measuring;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Readers;
using DeepCurrent.Data.Schools;
using DeepCurrent.Data.Storage;
using Npgsql;
using NpgsqlTypes;

namespace DeepCurrent.Data.Roster;

/// <summary>The tables a roster change writes, in the columns it writes, and what in them is no longer as it was.</summary>
internal static class RosterTables
{
    private static readonly string FromRoster = Database.ToJson<Message>($"Level from the roster");

    internal static readonly StepTable<RosterAdult> Adults = new(
        "adult",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("name", NpgsqlDbType.Text),
            ("user_name", NpgsqlDbType.Text),
            ("mail", NpgsqlDbType.Text),
            ("lead", NpgsqlDbType.Boolean),
            ("left_school", NpgsqlDbType.Boolean),
            ("post", NpgsqlDbType.Text),
            ("source", NpgsqlDbType.Text),
        ],
        a => [a.Id, a.SourceId, a.Name, a.UserName, a.Mail, a.Lead, a.Left, a.Post.ToString(), a.Source],
        RosterRows.Adult,
        []
    );

    internal static readonly StepTable<RosterClass> Classes = new(
        "class",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("school_year_id", NpgsqlDbType.Uuid),
            ("name", NpgsqlDbType.Text),
            ("code", NpgsqlDbType.Text),
            ("first_day", NpgsqlDbType.Date),
            ("last_day", NpgsqlDbType.Date),
            ("closed", NpgsqlDbType.Boolean),
            ("source", NpgsqlDbType.Text),
            ("grade", NpgsqlDbType.Integer),
        ],
        c => [c.Id, c.SourceId, c.YearId, c.Name, c.Code, c.FirstDay, c.LastDay, c.Closed, c.Source, c.Grade],
        RosterRows.Class,
        []
    );

    internal static readonly StepTable<RosterReader> Readers = new(
        "reader",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("given_name", NpgsqlDbType.Text),
            ("family_name", NpgsqlDbType.Text),
            ("user_name", NpgsqlDbType.Text),
            ("grade", NpgsqlDbType.Integer),
            ("details", NpgsqlDbType.Jsonb),
            ("guardian_mail", NpgsqlDbType.Text),
            ("secret_kind", NpgsqlDbType.Text),
            ("secret", NpgsqlDbType.Text),
            ("supports", NpgsqlDbType.Jsonb),
            ("left_school", NpgsqlDbType.Boolean),
            ("source", NpgsqlDbType.Text),
        ],
        r =>
            [
                r.Id,
                r.SourceId,
                r.GivenName,
                r.FamilyName,
                r.UserName,
                r.Grade,
                ReaderDetailsHandler.Write(r.Details),
                r.GuardianMail,
                r.SecretKind.ToString(),
                r.Secret,
                RosterRows.SupportsText(r.Supports),
                r.Left,
                r.Source,
            ],
        RosterRows.Reader,
        []
    );

    internal static readonly StepTable<Teaching> Teachings = new(
        "class_adult",
        [
            ("id", NpgsqlDbType.Uuid),
            ("class_id", NpgsqlDbType.Uuid),
            ("adult_id", NpgsqlDbType.Uuid),
            ("role", NpgsqlDbType.Text),
        ],
        t => [t.Id, t.ClassId, t.AdultId, t.Role.ToString()],
        RosterRows.Taught,
        []
    );

    internal static readonly StepTable<Enrolment> Enrolments = new(
        "enrolment",
        [
            ("id", NpgsqlDbType.Uuid),
            ("source_id", NpgsqlDbType.Text),
            ("class_id", NpgsqlDbType.Uuid),
            ("reader_id", NpgsqlDbType.Uuid),
            ("from_day", NpgsqlDbType.Date),
            ("to_day", NpgsqlDbType.Date),
            ("source", NpgsqlDbType.Text),
        ],
        e => [e.Id, e.SourceId, e.ClassId, e.ReaderId, e.From, e.To, e.Source],
        RosterRows.Enrolled,
        []
    );

    internal static readonly StepTable<StatedLevel> Levels = new(
        "evidence",
        [
            ("id", NpgsqlDbType.Uuid),
            ("reader_id", NpgsqlDbType.Uuid),
            ("value", NpgsqlDbType.Double),
            ("at", NpgsqlDbType.TimestampTz),
        ],
        l => [l.Id, l.ReaderId, l.Value, l.At.ToUniversalTime()],
        RosterRows.Level,
        [
            ("kind", NpgsqlDbType.Text, _ => nameof(EvidenceKind.Level)),
            ("sd", NpgsqlDbType.Double, _ => ReaderEstimator.StartingLevelSd),
            ("note", NpgsqlDbType.Jsonb, _ => FromRoster),
        ]
    );

    internal static async Task<IReadOnlyList<IRosterThing>> Moved(NpgsqlConnection c, ChangeSet s) =>
        [
            .. await Adults.Moved(c, s.Adults),
            .. await Classes.Moved(c, s.Classes),
            .. await Readers.Moved(c, s.Readers),
            .. await Teachings.Moved(c, s.Teachings),
            .. await Enrolments.Moved(c, s.Enrolments),
            .. await Levels.Moved(c, s.Levels),
        ];
}

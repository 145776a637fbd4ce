using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Measuring;
using DeepCurrent.Data.Storage;
using Npgsql;

namespace DeepCurrent.Data.Roster;

/// <summary>Rows of the roster's tables, in the columns the roster reads and writes.</summary>
internal static class RosterRows
{
    internal static RosterReader Reader(NpgsqlDataReader r) =>
        new()
        {
            Id = ReaderId.From(r.GetGuid(0)),
            SourceId = Text(r, 1),
            GivenName = r.GetString(2),
            FamilyName = r.GetString(3),
            UserName = r.GetString(4),
            Grade = r.GetInt32(5),
            Details = ReaderDetailsHandler.Read(r.GetString(6)),
            GuardianMail = Text(r, 7),
            SecretKind = Enum.Parse<SecretKind>(r.GetString(8)),
            Secret = r.GetString(9),
            Supports = SupportsOf(r.GetString(10)),
            Left = r.GetBoolean(11),
            Source = r.GetString(12),
        };

    internal static RosterAdult Adult(NpgsqlDataReader r) =>
        new(
            AdultId.From(r.GetGuid(0)),
            Text(r, 1),
            r.GetString(2),
            r.GetString(3),
            Text(r, 4),
            r.GetBoolean(5),
            r.GetBoolean(6),
            Enum.Parse<Post>(r.GetString(7)),
            r.GetString(8)
        );

    internal static RosterClass Class(NpgsqlDataReader r) =>
        new(
            ClassId.From(r.GetGuid(0)),
            Text(r, 1),
            YearId.From(r.GetGuid(2)),
            r.GetString(3),
            r.GetString(4),
            Day(r, 5),
            Day(r, 6),
            r.GetBoolean(7),
            r.GetString(8)
        )
        {
            Grade = r.IsDBNull(9) ? null : r.GetInt32(9),
        };

    internal static Enrolment Enrolled(NpgsqlDataReader r) =>
        new(
            EnrolmentId.From(r.GetGuid(0)),
            Text(r, 1),
            ClassId.From(r.GetGuid(2)),
            ReaderId.From(r.GetGuid(3)),
            r.GetFieldValue<DateOnly>(4),
            Day(r, 5),
            r.GetString(6)
        );

    internal static StatedLevel Level(NpgsqlDataReader r) =>
        new(
            StatedLevelId.From(r.GetGuid(0)),
            ReaderId.From(r.GetGuid(1)),
            r.GetDouble(2),
            r.GetFieldValue<DateTimeOffset>(3)
        );

    // Most readers have none, and one object does for them all.
    internal static Supports SupportsOf(string json) =>
        json == "{}" ? Supports.None : Database.FromJson<Supports>(json);

    internal static string SupportsText(Supports supports) =>
        supports == Supports.None ? "{}" : Database.ToJson(supports);

    internal static Teaching Taught(NpgsqlDataReader r) =>
        new(
            TeachingId.From(r.GetGuid(0)),
            ClassId.From(r.GetGuid(1)),
            AdultId.From(r.GetGuid(2)),
            Enum.Parse<Part>(r.GetString(3))
        );

    internal static string? Text(NpgsqlDataReader r, int i) => r.IsDBNull(i) ? null : r.GetString(i);

    private static DateOnly? Day(NpgsqlDataReader r, int i) => r.IsDBNull(i) ? null : r.GetFieldValue<DateOnly>(i);
}

using System.Data;
using Dapper;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Storage;

namespace DeepCurrent.Data.Roster;

/// <summary>A reader's details in the database: most readers have none, and one object does for them all.</summary>
internal sealed class ReaderDetailsHandler : SqlMapper.TypeHandler<ReaderDetails>
{
    public override ReaderDetails Parse(object value) => Read((string)value);

    public override void SetValue(IDbDataParameter parameter, ReaderDetails? value) =>
        parameter.Value = Write(value ?? ReaderDetails.None);

    internal static ReaderDetails Read(string json) =>
        json == "{}" ? ReaderDetails.None : Database.FromJson<ReaderDetails>(json);

    internal static string Write(ReaderDetails details) =>
        details == ReaderDetails.None ? "{}" : Database.ToJson(details);
}

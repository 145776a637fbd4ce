using System.Data;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Dapper;
using DbUp;
using DeepCurrent.Core.Goals;
using DeepCurrent.Core.LevelChecks;
using DeepCurrent.Core.OralReading;
using DeepCurrent.Core.Questions;
using DeepCurrent.Core.WordLists;
using DeepCurrent.Data.Adults;
using DeepCurrent.Data.Guardians;
using DeepCurrent.Data.HomeMessages;
using DeepCurrent.Data.OralReading;
using DeepCurrent.Data.Roster;
using DeepCurrent.Data.Schools;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>Opens the database and brings its schema up to date.</summary>
public static class Database
{
    private const long MigrationLock = 0x44656570;

    public static readonly JsonSerializerOptions Json = new(JsonSerializerDefaults.Web)
    {
        Converters = { new PartJson(), new MessageJson() },
        TypeInfoResolver = new DefaultJsonTypeInfoResolver { Modifiers = { Forgive } },
    };

    /// <summary>What was kept before something was added to it can still be read.</summary>
    private static void Forgive(JsonTypeInfo type)
    {
        foreach (var property in type.Properties)
            property.IsRequired = false;
    }

    public static NpgsqlDataSource Open(string connectionString)
    {
        DefaultTypeMap.MatchNamesWithUnderscores = true;
        SqlMapper.AddTypeHandler(new TimeHandler());
        SqlMapper.AddTypeHandler(new DayHandler());
        SqlMapper.AddTypeHandler(new LevelChartJson.Handler());
        SqlMapper.AddTypeHandler(new ReaderDetailsHandler());
        SqlMapper.AddTypeHandler(new MessageHandler());
        SqlMapper.AddTypeHandler(new WholeHandler<GivenMark>());
        SqlMapper.AddTypeHandler(new GatheredHandler<GradeAim>());
        SqlMapper.AddTypeHandler(new GatheredHandler<StaffClass>());
        SqlMapper.AddTypeHandler(new GatheredHandler<GuardianName>());
        SqlMapper.AddTypeHandler(new GatheredHandler<HomeAnswer>());
        SqlMapper.AddTypeHandler(new GatheredHandler<ListedWord>());
        SqlMapper.AddTypeHandler(new WholeHandler<CheckPlan>());
        SqlMapper.AddTypeHandler(new WholeHandler<SheetData>());
        SqlMapper.AddTypeHandler(new GatheredHandler<HeardWord>());
        IdHandlers.Add();
        UnitHandlers.Add();
        // The same few hundred commands come again and again: the database plans each once on a connection. Each takes
        // less than turning its plan into machine code would. What a report sorts stays in memory.
        var to = new NpgsqlConnectionStringBuilder(connectionString) { MaxAutoPrepare = 200, AutoPrepareMinUsages = 3 };
        to.Options = $"{to.Options} -c jit=off -c work_mem=16MB".Trim();
        return NpgsqlDataSource.Create(to);
    }

    /// <summary>Runs the migrations that are missing and lets new members into closed sets; instances that start
    /// together wait for one another.</summary>
    /// <exception cref="InvalidOperationException">A migration failed; the message names it.</exception>
    public static void Migrate(string connectionString)
    {
        // Asked once: nothing of it rests in a pool.
        var once = new NpgsqlConnectionStringBuilder(connectionString) { Pooling = false }.ConnectionString;
        using var guard = new NpgsqlConnection(once);
        guard.Open();
        guard.Execute("select pg_advisory_lock(@MigrationLock)", new { MigrationLock });
        var result = DeployChanges
            .To.PostgresqlDatabase(once)
            .WithScriptsEmbeddedInAssembly(typeof(Database).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (result.Successful)
            ClosedSets.Widen(guard);
        guard.Execute("select pg_advisory_unlock(@MigrationLock)", new { MigrationLock });
        if (!result.Successful)
            throw new InvalidOperationException(
                $"Migration {result.ErrorScript?.Name} failed: {result.Error.Message}",
                result.Error
            );
    }

    public static string ToJson<T>(T value) => JsonSerializer.Serialize(value, Json);

    public static T FromJson<T>(string json) => JsonSerializer.Deserialize<T>(json, Json)!;

    private sealed class TimeHandler : SqlMapper.TypeHandler<DateTimeOffset>
    {
        public override DateTimeOffset Parse(object value) =>
            value is DateTime t ? new DateTimeOffset(DateTime.SpecifyKind(t, DateTimeKind.Utc)) : (DateTimeOffset)value;

        public override void SetValue(IDbDataParameter parameter, DateTimeOffset value) =>
            parameter.Value = value.UtcDateTime;
    }

    private sealed class DayHandler : SqlMapper.TypeHandler<DateOnly>
    {
        public override DateOnly Parse(object value) =>
            value is DateTime t ? DateOnly.FromDateTime(t) : (DateOnly)value;

        public override void SetValue(IDbDataParameter parameter, DateOnly value)
        {
            parameter.DbType = DbType.Date;
            parameter.Value = value;
        }
    }
}

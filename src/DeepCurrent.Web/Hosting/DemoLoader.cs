using DeepCurrent.Data.Storage;
using DeepCurrent.Data.Texts;
using DeepCurrent.Demo;
using DeepCurrent.Web.SignIn;
using Npgsql;

namespace DeepCurrent.Web.Hosting;

/// <summary>Fills an empty database with the demo world.</summary>
public static class DemoLoader
{
    public static async Task Load(IServiceProvider services, string connection)
    {
        // Thousands of small commits: waiting for the disk at each would take minutes, and a demo world that is lost is
        // made again.
        await using var db = Database.Open(
            new NpgsqlConnectionStringBuilder(connection) { Options = "-c synchronous_commit=off" }.ConnectionString
        );
        var secrets = services.GetRequiredService<Secrets>();
        await World(db)
            .Load(
                secrets.Hash,
                secrets.Seal,
                services.GetRequiredService<TimeProvider>().GetUtcNow(),
                Console.WriteLine
            );
        await services.GetRequiredService<AnsweredDepths>().Recompute();
    }

    private static DemoWorld World(NpgsqlDataSource db)
    {
        var texts = new TextStore(db);
        var notices = new Notices(db);
        return new(
            new(db),
            new(db),
            new(db),
            new(db),
            new(db),
            new(db),
            texts,
            new(db, texts, notices),
            new(db, texts, notices),
            new(db, texts),
            new(db),
            new(db, notices),
            new(db),
            new(db),
            new(db, texts, notices),
            new(db, notices),
            new(db),
            new(db),
            new(db),
            new(db),
            new(db),
            new(db),
            new(db),
            new(db)
        );
    }
}

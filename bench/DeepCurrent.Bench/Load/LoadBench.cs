using System.Diagnostics;
using System.Globalization;
using System.Text.RegularExpressions;
using Npgsql;

namespace DeepCurrent.Bench.Load;

/// <summary>A whole school at once. pgbench puts in the same rows in the same run, so that the figure is a ratio and
/// not the machine's.</summary>
public static partial class LoadBench
{
    private const int Pages = 30;

    /// <param name="pgbench">Path of pgbench.</param>
    private static readonly (int Readers, double Thinking, double Seconds, string Wanted)[] Loads =
    [
        (200, 1.0, 12.0, "no figure set"),
        (500, 1.0, 15.0, "at most 800 ms, 0 errors"),
        (1000, 1.0, 15.0, "at most 1,500 ms, 0 errors"),
        (1000, 10.0, 30.0, "at most 250 ms, 0 errors"),
    ];

    public static async Task Run(Uri server, string connection, string pgbench, Action<string, string, string> row)
    {
        using var http = new HttpClient(new SocketsHttpHandler { UseCookies = false, MaxConnectionsPerServer = 2000 })
        {
            BaseAddress = server,
            Timeout = TimeSpan.FromSeconds(60),
        };
        var school = await LoadSchool.Make(http, connection, 1000);
        // A school's server has been at work for a while: what is measured is not how it begins.
        await LoadRun.Of(school, server, 200, 0, 0, 20);
        var before = await PgBench(connection, pgbench);
        var fast = await LoadRun.Of(school, server, 200, 0, 0, 6);
        var kept = await LoadRun.Of(school, server, 100, 0, 0, 5, together: 5);
        var after = await PgBench(connection, pgbench);
        var rows = (before + after) / 2;
        string Beside(LoadResult r) =>
            $"{r.Rate:0} where pgbench puts in {rows:0} of the same rows, one a transaction: "
            + $"{r.Rate / rows:0.00} of it; {r.Errors} errors";
        row(
            "Answers a second, one a request, 200 readers who do not think, no pages",
            Beside(fast),
            "at least 0.6 of it"
        );
        row(
            "Answers a second, up to five a request, as devices send what they kept",
            Beside(kept),
            "at least 0.6 of it"
        );
        foreach (var (readers, thinking, seconds, wanted) in Loads)
        {
            var r = await LoadRun.Of(school, server, readers, thinking, Pages, seconds);
            row(
                $"{readers:N0} readers, {thinking:0} s of thinking, {Pages} live pages: 99 of 100 answers taken within",
                $"{1e3 * r.Ninetyninth:0} ms (median {1e3 * r.Median:0} ms, {r.Rate:0} a second, {r.Errors} "
                    + $"errors; pages were told {r.Told:N0} times in {seconds + 3:0} s)",
                wanted
            );
        }
    }

    /// <returns>Rows a second, one a transaction.</returns>
    private static async Task<double> PgBench(string connection, string pgbench)
    {
        var c = new NpgsqlConnectionStringBuilder(connection);
        var script = Path.GetTempFileName();
        var pairs = await Pairs(connection);
        await File.WriteAllTextAsync(
            script,
            $$"""
            select nextval('bench_turn') as turn \gset
            insert into answer (
              id, ticket_id, question_id, attempt, response, correct, at, received_at, milliseconds, too_fast)
            select gen_random_uuid(), ticket_id, question_id, 3 + :turn / {{pairs}} % 3, '{"picks": [0], "words": ""}',
              true, now(), now(), 9000, false
            from bench_pair
            where n = 1 + :turn % {{pairs}};
            """
        );
        using var run = Process.Start(
            new ProcessStartInfo(pgbench, Arguments(script, c))
            {
                UseShellExecute = false,
                RedirectStandardOutput = true,
                RedirectStandardError = true,
                Environment = { ["PGPASSWORD"] = c.Password },
            }
        )!;
        var said = await run.StandardOutput.ReadToEndAsync() + await run.StandardError.ReadToEndAsync();
        await run.WaitForExitAsync();
        File.Delete(script);
        await TakeBack(connection);
        return Tps().Match(said) is { Success: true } m
            ? double.Parse(m.Groups[1].Value, CultureInfo.InvariantCulture)
            : throw new InvalidOperationException(said);
    }

    private static string[] Arguments(string script, NpgsqlConnectionStringBuilder c) =>
        [
            "-n",
            "-c",
            "40",
            "-j",
            "2",
            "-T",
            "10",
            "-M",
            "prepared",
            "-f",
            script,
            "-h",
            c.Host!,
            "-p",
            c.Port.ToString(CultureInfo.InvariantCulture),
            "-U",
            c.Username!,
            c.Database!,
        ];

    private static async Task<int> Pairs(string connection)
    {
        await using var db = new NpgsqlConnection(connection);
        await db.OpenAsync();
        await using var count = new NpgsqlCommand("select count(*)::int from bench_pair", db);
        return (int)(await count.ExecuteScalarAsync())!;
    }

    /// <summary>Takes out what pgbench has put in.</summary>
    private static async Task TakeBack(string connection)
    {
        await using var db = new NpgsqlConnection(connection);
        await db.OpenAsync();
        await using var gone = new NpgsqlCommand(
            "delete from answer where attempt >= 3; alter sequence bench_turn restart",
            db
        );
        gone.CommandTimeout = 120;
        await gone.ExecuteNonQueryAsync();
        await using var tidy = new NpgsqlCommand("vacuum analyze answer", db);
        tidy.CommandTimeout = 120;
        await tidy.ExecuteNonQueryAsync();
    }

    [GeneratedRegex(@"tps = ([\d.]+)")]
    private static partial Regex Tps();
}

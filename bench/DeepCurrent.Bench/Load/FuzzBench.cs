using System.Diagnostics;
using System.Net;
using DeepCurrent.Core.Roster;
using Formats.Tests;
using Npgsql;

namespace DeepCurrent.Bench.Load;

/// <summary>Damaged files sent to the running server, in every way in that takes files.</summary>
public static class FuzzBench
{
    private const int Files = 2000;
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(10);

    public static async Task Run(Uri server, string connection, string content, Action<string, string, string> row)
    {
        using var http = new HttpClient(new SocketsHttpHandler { UseCookies = false })
        {
            BaseAddress = server,
            Timeout = TimeSpan.FromMinutes(2),
        };
        var lead = await LoadSchool.FirstRun(http, "A School");
        var room = (string)(await lead.Json(HttpMethod.Post, "/api/classes", new { name = "Room" }))["id"]!;
        var good = DamagedFiles.Good(content);
        int broken = 0,
            slow = 0,
            refused = 0;
        for (var i = 0; i < Files; i++)
        {
            var (name, bytes) = good[i % good.Count];
            var damaged = DamagedFiles.Damaged(bytes, new Random(i));
            var clock = Stopwatch.StartNew();
            var status = await Send(lead, room, name, damaged);
            if (clock.Elapsed > Longest)
                slow++;
            if ((int)status >= 500)
                broken++;
            else if (status != HttpStatusCode.OK)
                refused++;
        }
        var (hanging, crashed, half) = await Left(connection);
        row(
            $"{Files:N0} damaged files sent to the server, in every way in",
            $"{broken + crashed} server errors, {slow} over 10 s, {hanging} left hanging, {half} readers half "
                + $"imported ({refused} refused with a sentence)",
            "0, 0, 0, 0"
        );
    }

    /// <summary>Imports are looked at by a worker: none may be left hanging, and none may have written anything.</summary>
    private static async Task<(long Hanging, long Crashed, long Half)> Left(string connection)
    {
        await using var c = new NpgsqlConnection(connection);
        await c.OpenAsync();
        long Count(string sql)
        {
            using var q = new NpgsqlCommand(sql, c);
            return (long)q.ExecuteScalar()!;
        }
        var waited = Stopwatch.StartNew();
        while (Count(Hanging) > 0 && waited.Elapsed < TimeSpan.FromMinutes(3))
            await Task.Delay(200);
        return (
            Count(Hanging),
            Count("select count(*) from import where error like 'Something went wrong%'"),
            Count("select count(*) from reader")
        );
    }

    private const string Hanging =
        $"select count(*) from import where state in ('{nameof(ImportState.Waiting)}', '{nameof(ImportState.Working)}')";

    private static async Task<HttpStatusCode> Send(LoadClient lead, string room, string name, byte[] damaged) =>
        name switch
        {
            "roster.zip" => await lead.Upload("/api/school/imports?name=fuzz.zip", damaged),
            "list.xlsx" or "list.csv" => await lead.Upload($"/api/classes/{room}/list/read", damaged),
            _ => await lead.Send(
                HttpMethod.Post,
                "/api/texts/read",
                new { name, file = Convert.ToBase64String(damaged) }
            ),
        };
}

using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net;
using System.Net.WebSockets;
using System.Text;

namespace DeepCurrent.Bench.Load;

/// <param name="Answers">Kept in the time that counts.</param>
/// <param name="Told">What live pages were told, all together.</param>
public sealed record LoadResult(int Answers, double Seconds, double Median, double Ninetyninth, int Errors, int Told)
{
    public double Rate => Answers / Seconds;
}

/// <summary>Readers who answer, think, and answer again, while teachers' pages watch and ask again as pages
/// do.</summary>
public static class LoadRun
{
    private const char End = '\u001e';
    private static readonly TimeSpan WarmUp = TimeSpan.FromSeconds(3),
        AskEvery = TimeSpan.FromSeconds(2);

    /// <param name="together">Answers in one request: one as they are given, more as a device sends what it kept
    /// without a network.</param>
    /// <param name="thinking">Seconds between the answer that was taken and the next, on average.</param>
    public static async Task<LoadResult> Of(
        LoadSchool school,
        Uri server,
        int readers,
        double thinking,
        int pages,
        double seconds,
        int together = 1
    )
    {
        using var stop = new CancellationTokenSource();
        var told = new int[1];
        Task Watch(int i) => Page(school, server, school.ClassIds[i % school.ClassIds.Count], told, stop.Token);
        var watching = Enumerable.Range(0, pages).Select(Watch).ToList();
        var times = new ConcurrentBag<double>();
        var errors = 0;
        var clock = Stopwatch.StartNew();
        var end = WarmUp + TimeSpan.FromSeconds(seconds);
        await Task.WhenAll(
            Enumerable
                .Range(0, readers)
                .Select(i =>
                    Task.Run(async () =>
                    {
                        // Fewer at once than there are take turns, so that nobody runs out of questions.
                        var turns = school.Readers.Where((_, n) => n % readers == i).ToList();
                        var random = new Random(i);
                        var turn = 0;
                        await Task.Delay(TimeSpan.FromSeconds(random.NextDouble() * thinking));
                        while (clock.Elapsed < end)
                        {
                            var reader = turns[turn++ % turns.Count];
                            var (ticket, questions) = Next(reader, together);
                            var began = clock.Elapsed;
                            var status = await Try(() => Send(reader, ticket, questions));
                            if (status is not HttpStatusCode.OK)
                                Interlocked.Increment(ref errors);
                            else if (began >= WarmUp && clock.Elapsed < end)
                                for (var n = 0; n < questions.Count; n++)
                                    times.Add((clock.Elapsed - began).TotalSeconds);
                            await Task.Delay(TimeSpan.FromSeconds((0.5 + random.NextDouble()) * thinking));
                        }
                    })
                )
        );
        await stop.CancelAsync();
        await Task.WhenAll(watching);
        var sorted = times.Order().ToList();
        return new(sorted.Count, seconds, At(sorted, 0.5), At(sorted, 0.99), errors, told[0]);
    }

    /// <summary>One answer as a page sends it, or several as a device sends what it kept.</summary>
    private static Task<HttpStatusCode> Send(LoadReader reader, Guid ticket, IReadOnlyList<Guid> questions) =>
        questions.Count == 1
            ? reader.Client.Send(
                HttpMethod.Put,
                $"/api/my/tickets/{ticket}/answers/{Guid.CreateVersion7()}",
                Answer(questions[0])
            )
            : reader.Client.Send(
                HttpMethod.Post,
                $"/api/my/tickets/{ticket}/answers",
                new { answers = questions.Select(q => new { id = Guid.CreateVersion7(), answer = Answer(q) }) }
            );

    private static object Answer(Guid question) =>
        new
        {
            questionId = question,
            picks = new[] { 0 },
            at = DateTimeOffset.UtcNow,
            milliseconds = 9000,
        };

    /// <summary>What comes next of one text: at most so many questions.</summary>
    private static (Guid Ticket, IReadOnlyList<Guid> Questions) Next(LoadReader reader, int most)
    {
        var questions = new List<Guid>();
        Guid? ticket = null;
        while (questions.Count < most && reader.Work.TryPeek(out var next) && (ticket is null || ticket == next.Ticket))
        {
            ticket = next.Ticket;
            questions.Add(reader.Work.Dequeue().Question);
        }
        return (
            ticket ?? throw new InvalidOperationException("There is nothing left to answer. Give more texts."),
            questions
        );
    }

    private static double At(List<double> sorted, double share) =>
        sorted.Count == 0 ? 0 : sorted[Math.Min(sorted.Count - 1, (int)(share * sorted.Count))];

    private static async Task<HttpStatusCode?> Try(Func<Task<HttpStatusCode>> send)
    {
        try
        {
            return await send();
        }
        catch (HttpRequestException)
        {
            return null;
        }
    }

    /// <summary>A teacher's page: told over its live line, it asks for its class again, at once and then at most every
    /// two seconds.</summary>
    private static async Task Page(LoadSchool school, Uri server, string classId, int[] told, CancellationToken stop)
    {
        using var socket = new ClientWebSocket();
        socket.Options.SetRequestHeader("Cookie", school.Teacher.CookieHeader);
        using var bell = new SemaphoreSlim(0, 1);
        var buffer = new byte[4096];
        try
        {
            await socket.ConnectAsync(new UriBuilder(server) { Scheme = "ws", Path = "/api/live" }.Uri, stop);
            foreach (
                var message in new[]
                {
                    "{\"protocol\":\"json\",\"version\":1}",
                    $"{{\"type\":1,\"target\":\"Watch\",\"arguments\":[\"{classId}\"]}}",
                }
            )
                await socket.SendAsync(Encoding.UTF8.GetBytes(message + End), WebSocketMessageType.Text, true, stop);
            var asking = Ask();
            while (!stop.IsCancellationRequested)
            {
                var n = (await socket.ReceiveAsync(buffer, stop)).Count;
                var heard = Encoding
                    .UTF8.GetString(buffer, 0, n)
                    .Split(End)
                    .Count(m => m.Contains("\"tickets\"", StringComparison.Ordinal));
                Interlocked.Add(ref told[0], heard);
                if (heard > 0 && bell.CurrentCount == 0)
                    bell.Release();
            }
            await asking;
        }
        catch (Exception e) when (e is OperationCanceledException or WebSocketException) { }

        async Task Ask()
        {
            while (true)
            {
                await bell.WaitAsync(stop);
                await Try(() => school.Teacher.Send(HttpMethod.Get, $"/api/classes/{classId}"));
                await Task.Delay(AskEvery, stop);
            }
        }
    }
}

using System.Net;
using System.Net.WebSockets;
using System.Text;
using System.Text.Json;

namespace Web.Tests;

/// <summary>A page's live line: a WebSocket at once, in the hub's JSON protocol.</summary>
public sealed class LiveLine : IDisposable
{
    private const char End = '\u001e';
    private readonly ClientWebSocket socket = new();
    private readonly SemaphoreSlim heard = new(0);
    private int times;

    /// <summary>How often the page was told that its class has changed.</summary>
    public int Times => times;

    /// <summary>Done when the other side has closed the line.</summary>
    public Task Over { get; private set; } = Task.CompletedTask;

    public static async Task<LiveLine> Open(Uri server, CookieContainer cookies, string classId)
    {
        var line = new LiveLine();
        line.socket.Options.Cookies = cookies;
        await line.socket.ConnectAsync(
            new UriBuilder(server) { Scheme = "ws", Path = "/api/live" }.Uri,
            CancellationToken.None
        );
        await line.Say("{\"protocol\":\"json\",\"version\":1}");
        var ready = new TaskCompletionSource();
        line.Over = line.Listen(ready);
        await line.Say($"{{\"type\":1,\"invocationId\":\"1\",\"target\":\"Watch\",\"arguments\":[\"{classId}\"]}}");
        await ready.Task.WaitAsync(TimeSpan.FromSeconds(20));
        return line;
    }

    /// <summary>Waits until the page has been told once more.</summary>
    public async Task Hear() => (await heard.WaitAsync(TimeSpan.FromSeconds(20))).ShouldBeTrue("the page hears of it");

    public void Dispose() => socket.Dispose();

    private Task Say(string message) =>
        socket.SendAsync(
            Encoding.UTF8.GetBytes(message + End),
            WebSocketMessageType.Text,
            endOfMessage: true,
            CancellationToken.None
        );

    private async Task Listen(TaskCompletionSource ready)
    {
        var buffer = new byte[4096];
        var text = new StringBuilder();
        try
        {
            while (
                await socket.ReceiveAsync(buffer, CancellationToken.None)
                    is { MessageType: not WebSocketMessageType.Close } part
            )
            {
                text.Append(Encoding.UTF8.GetString(buffer, 0, part.Count));
                var whole = text.ToString().Split(End);
                text.Clear().Append(whole[^1]);
                foreach (var message in whole[..^1])
                    Take(JsonDocument.Parse(message).RootElement, ready);
            }
        }
        catch (Exception e) when (e is WebSocketException or OperationCanceledException or ObjectDisposedException)
        { /* Closed without a word, which is what cutting is. */
        }
        ready.TrySetException(new InvalidOperationException("The line was closed before the page could watch."));
    }

    private void Take(JsonElement message, TaskCompletionSource ready)
    {
        if (!message.TryGetProperty("type", out var type))
            return;
        if (type.GetInt32() == 3)
        {
            if (message.TryGetProperty("error", out var error))
                ready.TrySetException(new InvalidOperationException(error.GetString()));
            else
                ready.TrySetResult();
        }
        else if (type.GetInt32() == 1 && message.GetProperty("target").GetString() == "tickets")
        {
            Interlocked.Increment(ref times);
            heard.Release();
        }
    }
}

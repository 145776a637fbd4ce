using System.Net;
using System.Net.Http.Headers;
using System.Net.Http.Json;
using System.Text.Json;

namespace DeepCurrent.Formats.Streams;

/// <summary>A class stream over HTTP: a post is put and deleted under its course, with OAuth 2 client
/// credentials.</summary>
public sealed class HttpClassStream(ClassStreamSettings settings, HttpClient http) : IClassStream
{
    public string Name => settings.Name;

    public bool Available => settings.Address.Length > 0;

    public Task Put(string course, StreamMessage message, CancellationToken stop) =>
        Send(HttpMethod.Put, course, message.Id, message, stop);

    public Task Remove(string course, Guid id, CancellationToken stop) =>
        Send(HttpMethod.Delete, course, id, null, stop);

    /// <summary>Kept as long as it is taken.</summary>
    private string? token;

    private async Task Send(HttpMethod method, string course, Guid id, StreamMessage? message, CancellationToken stop)
    {
        try
        {
            using var first = await Once(method, course, id, message, stop);
            if (first.StatusCode is not HttpStatusCode.Unauthorized)
            {
                Taken(method, first);
                return;
            }
            token = null;
            using var second = await Once(method, course, id, message, stop);
            Taken(method, second);
        }
        catch (Exception e)
            when (e is HttpRequestException or JsonException or KeyNotFoundException or InvalidOperationException
                || (e is TaskCanceledException && !stop.IsCancellationRequested)
            )
        {
            throw new StreamUnreachable("The class stream did not answer as it should.", e);
        }
    }

    private async Task<HttpResponseMessage> Once(
        HttpMethod method,
        string course,
        Guid id,
        StreamMessage? message,
        CancellationToken stop
    )
    {
        token ??= await ClientCredentials.Token(
            http,
            new(settings.TokenAddress, settings.ClientId, settings.ClientSecret, "stream.post"),
            stop
        );
        using var request = new HttpRequestMessage(
            method,
            $"{settings.Address}/{Uri.EscapeDataString(course)}/posts/{id}"
        );
        request.Headers.Authorization = new AuthenticationHeaderValue("Bearer", token);
        if (message is not null)
            request.Content = JsonContent.Create(message);
        return await http.SendAsync(request, stop);
    }

    /// <summary>What is taken back already is no failure.</summary>
    private static void Taken(HttpMethod method, HttpResponseMessage answer)
    {
        if (method != HttpMethod.Delete || answer.StatusCode is not HttpStatusCode.NotFound)
            answer.EnsureSuccessStatusCode();
    }
}

using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace DeepCurrent.Bench.Load;

/// <summary>Somebody who is signed in, with as little around a request as can be.</summary>
public sealed class LoadClient(HttpClient http)
{
    private readonly Dictionary<string, string> cookies = [];
    private string token = "";

    public string CookieHeader => string.Join("; ", cookies.Select(c => $"{c.Key}={c.Value}"));

    public async Task<HttpStatusCode> Send(HttpMethod method, string path, object? body = null)
    {
        using var response = await Raw(method, path, body);
        return response.StatusCode;
    }

    public async Task<HttpStatusCode> Upload(string path, byte[] file)
    {
        using var content = new ByteArrayContent(file) { Headers = { ContentType = new("application/octet-stream") } };
        using var response = await Raw(HttpMethod.Post, path, content);
        return response.StatusCode;
    }

    public async Task<JsonNode> Json(HttpMethod method, string path, object? body = null)
    {
        using var response = await Raw(method, path, body);
        var text = await response.Content.ReadAsStringAsync();
        if (!response.IsSuccessStatusCode)
            throw new InvalidOperationException($"{path}: {(int)response.StatusCode} {text}");
        return text.Length == 0 ? new JsonObject() : JsonNode.Parse(text)!;
    }

    public async Task Renew() => token = (string)(await Json(HttpMethod.Get, "/api/session"))["token"]!;

    public async Task SignIn(string path, object body)
    {
        await Renew();
        await Json(HttpMethod.Post, path, body);
        await Renew();
    }

    private async Task<HttpResponseMessage> Raw(HttpMethod method, string path, object? body)
    {
        using var request = new HttpRequestMessage(method, path);
        if (cookies.Count > 0)
            request.Headers.Add("Cookie", CookieHeader);
        if (method != HttpMethod.Get)
            request.Headers.Add("X-XSRF-TOKEN", token);
        if (body is not null)
            request.Content = body as HttpContent ?? JsonContent.Create(body);
        var response = await http.SendAsync(request);
        if (response.Headers.TryGetValues("Set-Cookie", out var set))
            foreach (var cookie in set)
            {
                var pair = cookie.Split(';')[0];
                cookies[pair[..pair.IndexOf('=')]] = pair[(pair.IndexOf('=') + 1)..];
            }
        return response;
    }
}

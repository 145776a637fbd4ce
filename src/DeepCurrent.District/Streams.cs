using System.Collections.Concurrent;
using System.Globalization;
using System.Net;
using System.Text;

namespace DeepCurrent.District;

/// <param name="Readers">Who sees it, by user name.</param>
public sealed record Post(
    Guid Id,
    string Heading,
    string Title,
    DateOnly? Due,
    Uri Link,
    IReadOnlyList<string> Readers
);

/// <summary>A simulated class stream: posts of a course, shown to exactly those they are for, under its headings. They
/// are kept while it runs.</summary>
internal sealed class Streams
{
    private readonly ConcurrentDictionary<string, ConcurrentDictionary<Guid, Post>> courses = new();

    public void Map(WebApplication app, RouteGroupBuilder guarded)
    {
        guarded.MapPut("/{course}/posts/{id:guid}", Put);
        guarded.MapDelete("/{course}/posts/{id:guid}", Remove);
        app.MapGet("/streams/{course}", (string course, string? reader, string? home) =>
            Results.Content(Page(course, Of(course, reader), reader, home), "text/html; charset=utf-8")
        );
        app.MapGet("/streams/{course}/posts.json", (string course, string? reader) => Of(course, reader));
    }

    private ConcurrentDictionary<Guid, Post> Course(string course) => courses.GetOrAdd(course, _ => new());

    private IResult Put(string course, Guid id, Post post)
    {
        if (post.Id != id || string.IsNullOrWhiteSpace(post.Title) || post.Readers is not { Count: > 0 })
            return Results.BadRequest();
        Course(course)[id] = post;
        return Results.NoContent();
    }

    private IResult Remove(string course, Guid id) =>
        Course(course).TryRemove(id, out _) ? Results.NoContent() : Results.NotFound();

    /// <summary>Posts by heading and day; a reader sees their own, a teacher all.</summary>
    private IReadOnlyList<Post> Of(string course, string? reader) =>
        [
            .. Course(course)
                .Values.Where(p => reader is null || p.Readers.Contains(reader))
                .OrderBy(p => p.Heading, StringComparer.Ordinal)
                .ThenBy(p => p.Due ?? DateOnly.MaxValue)
                .ThenBy(p => p.Title, StringComparer.Ordinal),
        ];

    private static string Page(string course, IReadOnlyList<Post> posts, string? reader, string? home)
    {
        var page = new StringBuilder(
            $"""
            <!doctype html>
            <html lang="en">
            <meta name="viewport" content="width=device-width">
            <title>Stream of {WebUtility.HtmlEncode(course)}</title>
            <style>body {"{"} font: 16px/1.5 sans-serif; max-width: 40rem; margin: 2rem auto; padding: 0 1rem {"}"}</style>
            <h1>Stream of {WebUtility.HtmlEncode(course)}</h1>
            <p>A simulated class stream.{(reader is null ? "" : $" As {WebUtility.HtmlEncode(reader)} sees it.")}</p>
            """
        );
        if (reader is null && home is not null)
            page.Append(
                CultureInfo.InvariantCulture,
                $"<p><a href=\"{WebUtility.HtmlEncode(home)}/pick?course={Uri.EscapeDataString(course)}\">Add material</a></p>"
            );
        foreach (var under in posts.GroupBy(p => p.Heading))
        {
            if (under.Key.Length > 0)
                page.Append(CultureInfo.InvariantCulture, $"<h2>{WebUtility.HtmlEncode(under.Key)}</h2>");
            page.Append("<ul>");
            foreach (var p in under)
                page.Append(
                    CultureInfo.InvariantCulture,
                    $"<li><a href=\"{WebUtility.HtmlEncode(p.Link.ToString())}\">{WebUtility.HtmlEncode(p.Title)}</a>{Due(p)}</li>"
                );
            page.Append("</ul>");
        }
        if (posts.Count == 0)
            page.Append("<p>Nothing here yet.</p>");
        return page.Append("</html>").ToString();
    }

    private static string Due(Post p) =>
        p.Due is { } day ? $", due {day.ToString("ddd d MMM", CultureInfo.InvariantCulture)}" : "";
}

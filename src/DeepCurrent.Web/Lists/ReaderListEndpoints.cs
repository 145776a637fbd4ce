using System.Text.Json;
using DeepCurrent.Core.Access;
using DeepCurrent.Core.Roster;
using DeepCurrent.Data.Lists;
using DeepCurrent.Web.Hosting;
using DeepCurrent.Web.SignIn;

namespace DeepCurrent.Web.Lists;

/// <summary>What a list that keeps itself asks of its readers.</summary>
/// <param name="Asked">Words a reader's row must have.</param>
public sealed record ListFilter(string Asked);

/// <param name="Mark">Name of the sign the list is marked with; empty for none.</param>
/// <param name="Filter">Null for a list that is made by hand.</param>
public sealed record ReaderListView(
    ReaderListId Id,
    string Name,
    string Mark,
    string Note,
    int Position,
    ListFilter? Filter,
    IReadOnlyList<ReaderId> ReaderIds
);

public sealed record ReaderListRequest(
    string Name,
    string Mark,
    string? Note,
    int Position,
    ListFilter? Filter,
    IReadOnlyList<ReaderId> ReaderIds
);

/// <summary>Lists of readers a teacher keeps. A reader may be in as many as one likes.</summary>
public static class ReaderListEndpoints
{
    private static readonly string[] Marks = ["", "ring", "bar", "wave", "cross", "peak", "dots"];

    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/classes/{classId:guid}/lists", All);
        api.MapPut("/classes/{classId:guid}/lists/{listId:guid}", Put);
        api.MapDelete(
            "/classes/{classId:guid}/lists/{listId:guid}",
            async (ClassId classId, ReaderListId listId, Desk desk, ListStore lists) =>
            {
                await desk.Class(classId, Deed.FormGroups);
                await lists.Remove(listId, classId);
            }
        );
    }

    private static async Task<IReadOnlyList<ReaderListView>> All(ClassId classId, Desk desk, ListStore lists)
    {
        await desk.Class(classId, Deed.SeeClass);
        return
        [
            .. (await lists.Of(classId)).Select(l => new ReaderListView(
                l.Id,
                l.Name,
                l.Mark,
                l.Note,
                l.Position,
                l.Filter is null ? null : JsonSerializer.Deserialize<ListFilter>(l.Filter, JsonSerializerOptions.Web),
                l.ReaderIds
            )),
        ];
    }

    private static async Task Put(
        ClassId classId,
        ReaderListId listId,
        ReaderListRequest request,
        Desk desk,
        ListStore lists
    )
    {
        await desk.Class(classId, Deed.FormGroups);
        var name = Names.Tidy(request.Name);
        new Faults()
            .If(name.Length is 0 or > 40, "name", $"Enter a list name of 40 letters or fewer.")
            .If(!Marks.Contains(request.Mark), "mark", $"Choose one of the symbols.")
            .If(request.Note?.Length > 500, "note", $"Use 500 letters or fewer.")
            .If(request.Filter?.Asked?.Length > 100, "filter", $"This filter is too long.")
            .If(request.ReaderIds?.Count > 2000, "readerIds", $"A list can have 2,000 readers at most.")
            .Refuse();
        await lists.Put(
            classId,
            new(
                listId,
                name,
                request.Mark,
                request.Note?.Trim() ?? "",
                request.Position,
                request.Filter is null ? null : JsonSerializer.Serialize(request.Filter, JsonSerializerOptions.Web),
                [.. request.ReaderIds ?? []]
            ),
            desk.Now
        );
    }
}

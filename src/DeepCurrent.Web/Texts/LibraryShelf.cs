using DeepCurrent.Core.Library;
using DeepCurrent.Data.Texts;
using DeepCurrent.Web.Live;
using Npgsql;

namespace DeepCurrent.Web.Texts;

/// <summary>The library's cards in memory, so that a search costs one pass over them. The database says when a text has
/// changed, whichever instance changed it.</summary>
public sealed class LibraryShelf(ShelfStore store)
{
    private readonly SemaphoreSlim one = new(1);
    private Dictionary<TextId, Card>? cards;
    private Shelf? shelf;

    public async Task<Shelf> Now()
    {
        if (shelf is { } ready)
            return ready;
        await one.WaitAsync();
        try
        {
            cards ??= (await store.Cards()).ToDictionary(c => c.Id);
            return shelf ??= new(cards.Values);
        }
        finally
        {
            one.Release();
        }
    }

    /// <summary>Every card.</summary>
    public async Task<IReadOnlyCollection<Card>> Cards()
    {
        await Now();
        return cards?.Values.ToList() ?? [];
    }

    /// <summary>The topics that texts have which a whole school sees.</summary>
    public async Task<IReadOnlyList<string>> Topics(SchoolId schoolId)
    {
        return
        [
            .. (await Cards())
                .Where(c => !c.Mine && (c.SchoolId is null || c.SchoolId == schoolId))
                .Select(c => c.Topic)
                .Distinct(),
        ];
    }

    /// <summary>Reads one text's card anew.</summary>
    public async Task Refresh(TextId textId)
    {
        await one.WaitAsync();
        try
        {
            if (cards is null)
                return;
            cards.Remove(textId);
            foreach (var card in await store.Cards(textId))
                cards[card.Id] = card;
            shelf = null;
        }
        finally
        {
            one.Release();
        }
    }

    /// <summary>Reads everything anew the next time it is asked for, since notices may have been missed.</summary>
    public async Task Forget()
    {
        await one.WaitAsync();
        try
        {
            (cards, shelf) = (null, null);
        }
        finally
        {
            one.Release();
        }
    }
}

/// <summary>Listens for texts that have changed.</summary>
public sealed class ShelfListener(
    NpgsqlDataSource db,
    Channels channels,
    LibraryShelf shelf,
    TextStore texts,
    ILogger<ShelfListener> log
) : ChannelListener(db, channels, "text", log)
{
    protected override Task Begun()
    {
        texts.Forget();
        return shelf.Forget();
    }

    protected override async Task Heard(string payload, CancellationToken stop)
    {
        if (!Ids.TryParse<TextId>(payload, out var id))
            return;
        texts.Forget(id);
        await shelf.Refresh(id);
    }
}

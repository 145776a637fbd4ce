using Dapper;
using Npgsql;

namespace DeepCurrent.Data.Storage;

/// <summary>The keys that sign cookies and encipher secrets, kept in the database so that every instance has
/// them.</summary>
public sealed class KeyStore(NpgsqlDataSource db)
{
    public IReadOnlyList<string> All()
    {
        using var c = db.OpenConnection();
        return c.Query<string>("select xml from data_protection_key order by id limit 1000").ToList();
    }

    public void Add(string name, string xml)
    {
        using var c = db.OpenConnection();
        c.Execute("insert into data_protection_key (name, xml) values (@name, @xml)", new { name, xml });
    }
}

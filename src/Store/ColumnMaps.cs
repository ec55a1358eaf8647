using Dapper;

namespace FaithfulBracket.Store;

/// <param name="Signature">The header's cells, plain, in order.</param>
/// <param name="Columns">Column name to index, as JSON.</param>
public sealed record ColumnMapRow(string Signature, string Columns, string? Units);

/// <summary>What the columns of tables mean, as somebody told once.</summary>
public sealed class ColumnMaps(ShopDatabase database, TimeProvider time)
{
    public IReadOnlyList<ColumnMapRow> All()
    {
        using var c = database.Open();
        return [.. c.Query<ColumnMapRow>("select signature, columns, units from column_map order by signature")];
    }

    public void Put(ColumnMapRow row) =>
        database.Change(
            (c, t) =>
                c.Execute(
                    """
                    insert into column_map (signature, columns, units, at) values (@Signature, @Columns, @Units, @At)
                    on conflict (signature) do update set columns = excluded.columns, units = excluded.units, at = excluded.at
                    """,
                    new
                    {
                        row.Signature,
                        row.Columns,
                        row.Units,
                        At = Stamp.Format(time),
                    },
                    t
                )
        );

    public void Forget(string signature) =>
        database.Change(
            (c, t) => c.Execute("delete from column_map where signature = @signature", new { signature }, t)
        );
}

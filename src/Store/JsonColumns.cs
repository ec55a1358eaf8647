using System.Data;
using System.Runtime.CompilerServices;
using System.Text.Json;
using System.Text.Json.Serialization;
using Dapper;
using FaithfulBracket.Core.Prove;

namespace FaithfulBracket.Store;

/// <summary>Columns that hold one small thing as JSON.</summary>
internal static class JsonColumns
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.KebabCaseLower, allowIntegerValues: false) },
        DefaultIgnoreCondition = JsonIgnoreCondition.WhenWritingNull,
    };

    [ModuleInitializer]
    internal static void Register()
    {
        SqlMapper.AddTypeHandler(new Handler<FigureSource>());
        SqlMapper.AddTypeHandler(new Handler<RunConditions>());
    }

    private sealed class Handler<T> : SqlMapper.TypeHandler<T>
    {
        /// <summary>What does not read is told by the doctor and takes no page down.</summary>
        public override T? Parse(object value)
        {
            try
            {
                return JsonSerializer.Deserialize<T>((string)value, Options);
            }
            catch (JsonException)
            {
                return default;
            }
        }

        public override void SetValue(IDbDataParameter parameter, T? value) =>
            parameter.Value = value is null ? DBNull.Value : JsonSerializer.Serialize(value, Options);
    }
}

using System.Reflection;

namespace FaithfulBracket.Mutants;

/// <summary>A test with its arguments, found by its attribute and run without a runner.</summary>
/// <param name="Name">Class, method and place among the method's cases.</param>
internal sealed record TestCase(string Name, Type Class, MethodInfo Method, object?[] Arguments)
{
    /// <param name="classes">Simple names of the classes looked at.</param>
    public static IReadOnlyList<TestCase> In(Assembly assembly, IReadOnlySet<string> classes) =>
        [
            .. assembly
                .GetTypes()
                .Where(t => !t.IsAbstract && classes.Contains(t.Name))
                .OrderBy(t => t.FullName, StringComparer.Ordinal)
                .SelectMany(t => t.GetMethods().Where(IsTest).SelectMany(m => Cases(t, m))),
        ];

    private static bool IsTest(MethodInfo method) =>
        method.CustomAttributes.Any(a => a.AttributeType.Name is "FactAttribute" or "TheoryAttribute");

    private static IEnumerable<TestCase> Cases(Type type, MethodInfo method) =>
        Rows(type, method).Select((row, i) => new TestCase($"{type.Name}.{method.Name}[{i}]", type, method, row));

    private static IEnumerable<object?[]> Rows(Type type, MethodInfo method)
    {
        if (method.CustomAttributes.Any(a => a.AttributeType.Name == "FactAttribute"))
            return
            [
                [],
            ];
        var inline = method
            .CustomAttributes.Where(a => a.AttributeType.Name == "InlineDataAttribute")
            .Select(a => Values(a.ConstructorArguments[0]));
        var members = method
            .CustomAttributes.Where(a => a.AttributeType.Name == "MemberDataAttribute")
            .SelectMany(a => Member(type, (string)a.ConstructorArguments[0].Value!));
        return inline.Concat(members);
    }

    private static object?[] Values(CustomAttributeTypedArgument given) =>
        given.Value is IEnumerable<CustomAttributeTypedArgument> several
            ? [.. several.Select(v => v.ArgumentType.IsArray ? Array(v) : Value(v))]
            : [given.Value];

    private static object? Value(CustomAttributeTypedArgument v) =>
        v.ArgumentType.IsEnum ? Enum.ToObject(v.ArgumentType, v.Value!) : v.Value;

    private static Array Array(CustomAttributeTypedArgument v)
    {
        var items = ((IEnumerable<CustomAttributeTypedArgument>)v.Value!).Select(Value).ToArray();
        var array = System.Array.CreateInstance(v.ArgumentType.GetElementType()!, items.Length);
        for (var i = 0; i < items.Length; i++)
            array.SetValue(items[i], i);
        return array;
    }

    private static IEnumerable<object?[]> Member(Type type, string name)
    {
        const BindingFlags any = BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic;
        var rows =
            type.GetProperty(name, any)?.GetValue(null)
            ?? type.GetField(name, any)?.GetValue(null)
            ?? type.GetMethod(name, any)?.Invoke(null, null);
        foreach (var row in (System.Collections.IEnumerable)rows!)
            yield return row switch
            {
                object?[] plain => plain,
                _ when row.GetType().GetInterface("ITheoryDataRow")?.GetMethod("GetData") is { } data => (object?[])
                    data.Invoke(row, null)!,
                _ => [row],
            };
    }

    /// <summary>Whether it passes.</summary>
    public bool Passes()
    {
        object? instance = null;
        try
        {
            instance = Method.IsStatic ? null : Activator.CreateInstance(Class);
            if (Method.Invoke(instance, Filled()) is Task running)
                running.GetAwaiter().GetResult();
            return true;
        }
        catch (Exception)
        {
            return false;
        }
        finally
        {
            (instance as IDisposable)?.Dispose();
        }
    }

    /// <summary>As the language would pass them: numbers widened, what is missing by its default, one array for several.</summary>
    private object?[] Filled() =>
        [
            .. Method
                .GetParameters()
                .Select(
                    (p, i) =>
                        p.GetCustomAttribute<ParamArrayAttribute>() is not null
                        && (i >= Arguments.Length || Arguments[i]?.GetType().IsArray != true)
                            ? Rest(p, i)
                        : i >= Arguments.Length ? p.DefaultValue
                        : Arguments[i] is IConvertible n
                        && Nullable.GetUnderlyingType(p.ParameterType) is var inner
                        && (inner ?? p.ParameterType) is { IsPrimitive: true } to
                        && n.GetType() != to
                            ? Convert.ChangeType(n, to, System.Globalization.CultureInfo.InvariantCulture)
                        : Arguments[i]
                ),
        ];

    private Array Rest(ParameterInfo parameter, int from)
    {
        var rest = Arguments.Skip(from).ToArray();
        var array = System.Array.CreateInstance(parameter.ParameterType.GetElementType()!, rest.Length);
        for (var i = 0; i < rest.Length; i++)
            array.SetValue(rest[i], i);
        return array;
    }
}

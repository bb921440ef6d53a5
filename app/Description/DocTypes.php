<?php

declare(strict_types=1);

namespace App\Description;

use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;

/** Reads the types that docblocks give, and what the names in them stand for where they are written. */
final readonly class DocTypes
{
    private Lexer $lexer;
    private TypeParser $types;
    private PhpDocParser $docblocks;

    public function __construct()
    {
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $this->lexer = new Lexer($config);
        $this->types = new TypeParser($config, $constants);
        $this->docblocks = new PhpDocParser($config, $this->types, $constants);
    }

    public function type(string $written): TypeNode
    {
        return $this->types->parse(new TokenIterator($this->lexer->tokenize($written)));
    }

    public function docblock(string|false $comment): PhpDocNode
    {
        return $this->docblocks->parse(
            new TokenIterator($this->lexer->tokenize($comment === false ? '/** */' : $comment)),
        );
    }

    /**
     * Where the shape of a name is told: its type, and the class whose docblock says so.
     *
     * @param \ReflectionClass<object> $where the name is used
     *
     * @return array{TypeNode, \ReflectionClass<object>}|null null where it is no name for a shape
     */
    public function shape(string $name, \ReflectionClass $where): ?array
    {
        $docblock = $this->docblock($where->getDocComment());
        foreach ($docblock->getTypeAliasTagValues() as $alias) {
            if ($alias->alias === $name) {
                return [$alias->type, $where];
            }
        }
        foreach ($docblock->getTypeAliasImportTagValues() as $import) {
            if (($import->importedAs ?? $import->importedAlias) === $name) {
                $class = $this->className((string) $import->importedFrom, $where);

                return $class === null ? null : $this->shape($import->importedAlias, new \ReflectionClass($class));
            }
        }

        return null;
    }

    /**
     * The class that a short name stands for.
     *
     * @param \ReflectionClass<object> $where it is written
     *
     * @return class-string|trait-string|null
     */
    public function className(string $name, \ReflectionClass $where): ?string
    {
        $source = (string) file_get_contents((string) $where->getFileName());
        preg_match('/^use ([\w\\\\]*\\\\' . preg_quote($name, '/') . ');/m', $source, $imported);
        $class = match (true) {
            $name[0] === '\\' => substr($name, 1),
            isset($imported[1]) => $imported[1],
            default => "{$where->getNamespaceName()}\\{$name}",
        };

        return class_exists($class) || enum_exists($class) || trait_exists($class) ? $class : null;
    }
}

# frozen_string_literal: true

module Norvel
  module Formats
    module Odt
      # A file with nothing in it, to be filled (ISO/IEC 26300-1 3.1, 26300-3 3).
      module Blank
        VERSION = "1.2"
        SPACES = Names::SPACES.except("manifest", "config")
          .map { |prefix, uri| %(xmlns:#{prefix}="#{uri}") }.join(" ").freeze
        HEAD = %(<?xml version="1.0" encoding="UTF-8"?>\n)
        LAYOUTS = "<office:automatic-styles/><office:master-styles/>"
        TEXT = "<office:body><office:text/></office:body>"

        module_function

        # A package without content.
        def container
          Container.new(Archive.build(parts, first: ["mimetype", TYPE]))
        end

        # The same as one XML file.
        def flat
          FlatFile.new(%(#{HEAD}<office:document #{SPACES} office:version="#{VERSION}" office:mimetype="#{TYPE}">) +
            "<office:meta/><office:font-face-decls/><office:styles/>#{LAYOUTS}#{TEXT}</office:document>")
        end

        def parts
          {"content.xml" => root("content", "<office:font-face-decls/><office:automatic-styles/>#{TEXT}"),
           "styles.xml" => root("styles", "<office:font-face-decls/><office:styles/>#{LAYOUTS}"),
           "meta.xml" => root("meta", "<office:meta/>"), "META-INF/manifest.xml" => manifest}
        end

        def root(name, inside)
          %(#{HEAD}<office:document-#{name} #{SPACES} office:version="#{VERSION}">#{inside}</office:document-#{name}>)
        end

        # files: those beside the three parts, {path => media type}
        def manifest(files = {})
          uri = Names::SPACES["manifest"]
          entries = {"/" => TYPE, "content.xml" => "text/xml", "styles.xml" => "text/xml", "meta.xml" => "text/xml",
                     **files}.map do |path, type|
            version = %( manifest:version="#{VERSION}") if path == "/"
            %(<manifest:file-entry manifest:full-path="#{path}"#{version} manifest:media-type="#{type}"/>)
          end
          %(#{HEAD}<manifest:manifest xmlns:manifest="#{uri}" manifest:version="#{VERSION}">#{entries.join}) +
            "</manifest:manifest>"
        end

        private_class_method :parts, :root
      end
    end
  end
end

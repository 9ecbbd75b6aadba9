# frozen_string_literal: true

# Formulas as WordprocessingML and as MathML, for specs.
module Formulas
  MATHS = "http://schemas.openxmlformats.org/officeDocument/2006/math"
  MATHML = Norvel::Mathml::SPACE

  # A run of a formula. style: "p" for upright, "b", "bi"
  def mr(text, style = nil)
    said = %(<m:rPr><m:sty m:val="#{style}"/></m:rPr>) if style
    %(<m:r>#{said}<m:t xml:space="preserve">#{text}</m:t></m:r>)
  end

  # An element of a formula with its parts, each an element of that name: me("f", num: mr("1"), den: mr("2"))
  def me(name, set = "", **parts)
    inside = parts.map { |part, content| "<m:#{part}>#{content}</m:#{part}>" }.join
    "<m:#{name}>#{%(<m:#{name}Pr>#{set}</m:#{name}Pr>) unless set.empty?}#{inside}</m:#{name}>"
  end

  def mval(name, value) = %(<m:#{name} m:val="#{value}"/>)

  # A formula in the line.
  def omath(content) = %(<m:oMath xmlns:m="#{MATHS}">#{content}</m:oMath>)

  # A formula on a line of its own.
  def omath_para(content, align = nil)
    set = "<m:oMathParaPr>#{mval("jc", align)}</m:oMathParaPr>" if align
    %(<m:oMathPara xmlns:m="#{MATHS}">#{set}<m:oMath>#{content}</m:oMath></m:oMathPara>)
  end

  # The source of a formula of MathML elements.
  def mathml(content, display: false)
    Norvel::Mathml::Node.of(Nokogiri::XML(%(<math#{' display="block"' if display}>#{content}</math>)).root).source
  end

  # The elements of a formula without those around it.
  def bare(source) = source.sub(/\A<math[^>]*>/, "").delete_suffix("</math>")

  # The solution of a quadratic equation, as WordprocessingML.
  def quadratic
    root = me("rad", mval("degHide", 1), deg: "", e: me("sSup", e: mr("b"), sup: mr("2")) + mr("-4ac"))
    mr("x=") + me("f", num: mr("-b±") + root, den: mr("2a"))
  end
end

RSpec.configure { |config| config.include Formulas }
